import type { Operation } from '@young-oak/api/training'
import { sessionLogId, setLogId, type SessionLog } from '@young-oak/core/member'

/** The sessions as this phone knows them: what the server has, and on top of it what is still waiting to be sent. */
export function withWaiting(logs: SessionLog[], operations: Operation[]): SessionLog[] {
  const known = new Map(logs.map((log) => [log.id, log]))
  for (const operation of operations) {
    if (operation.kind === 'start') {
      const { enrolment, position, attempt = 1, date, location } = operation
      const id = sessionLogId(enrolment, position, attempt)
      if (!known.has(id))
        known.set(id, {
          id,
          rev: 1,
          date,
          enrolment,
          position,
          attempt,
          ordinal: 1,
          ...(location !== undefined && { location }),
          closed: false,
          sets: [],
        })
      continue
    }
    const log = known.get(operation.session)
    if (!log) continue
    if (operation.kind === 'close') known.set(log.id, { ...log, closed: true })
    else if (operation.kind === 'answers')
      known.set(log.id, {
        ...log,
        answers: { ...operation.answers, rev: operation.rev, change: operation.id },
      })
    else {
      const { set, rev, session, id: change } = operation
      const id = setLogId(session, set.slot, set.n)
      known.set(log.id, {
        ...log,
        sets: [...log.sets.filter((one) => one.id !== id), { ...set, id, rev, change }],
      })
    }
  }
  return [...known.values()]
}
