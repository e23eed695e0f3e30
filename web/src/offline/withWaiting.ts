import type { Operation } from '@young-oak/api/training'
import { placeShown, sessionLogId, setLogId, withStart, type SessionLog } from '@young-oak/core/member'

/** The sessions as this phone knows them: what the server has, and on top of it what is still waiting to be sent. */
export function withWaiting(logs: SessionLog[], operations: Operation[]): SessionLog[] {
  const known = new Map(logs.map((log) => [log.id, log]))
  for (const operation of operations) {
    if (operation.kind === 'start' || operation.kind === 'startByPosition') {
      const started = startedBy(operation, known)
      known.set(started.id, started)
      continue
    }
    if (!('session' in operation)) continue
    const log = known.get(operation.session)
    if (!log) continue
    if (operation.kind === 'close') known.set(log.id, { ...log, closed: true })
    else if (operation.kind === 'answers')
      known.set(log.id, {
        ...log,
        answers: { ...operation.answers, rev: operation.rev, change: operation.id },
      })
    else if (operation.kind === 'set') {
      const { set, rev, session, start, id: change } = operation
      const id = setLogId(session, set.slot, set.n)
      const entry = { ...set, id, rev, change, ...(start !== undefined && { start }) }
      known.set(log.id, { ...log, sets: [...log.sets.filter((one) => one.id !== id), entry] })
    }
  }
  return [...known.values()]
}

type Started = Extract<Operation, { kind: 'start' | 'startByPosition' }>

/** A session as it was started here; of one that another phone has started too the first start counts. */
function startedBy(operation: Started, known: Map<string, SessionLog>): SessionLog {
  const { id: change, enrolment, attempt = 1, date, location } = operation
  const entry = {
    rev: 1,
    change,
    date,
    enrolment,
    attempt,
    ordinal: 1,
    ...(location !== undefined && { location }),
    closed: false,
    sets: [],
  }
  if (operation.kind === 'startByPosition') {
    const { position } = operation
    const id = sessionLogId(enrolment, position, attempt)
    return known.get(id) ?? { ...entry, id, position }
  }
  const { position, minute, shown } = operation
  const at = placeShown(shown.at) ?? undefined
  const id = sessionLogId(enrolment, at ?? 0, attempt)
  const had = known.get(id)
  const start = { change, date, minute, ...(location !== undefined && { location }), shown }
  return had ? withStart(had, start) : { ...entry, id, position, ...(at && { at }), minute, shown }
}
