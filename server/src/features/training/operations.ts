import type { Library } from '@young-oak/core/library'
import { operationSchemas, type Operation, type OperationAnswer, type Refusal } from '@young-oak/api/training'
import { beats, placeShown, sessionLogId, setLogId, type SessionLog } from '@young-oak/core/member'
import { snapshot } from '@young-oak/core/plan'
import { ValidationError } from 'yup'
import type { GivenStart } from '../../database/columns.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { Problem } from '../../http/problem.ts'
import { refuseStrangers } from '../exercises/library.ts'
import { giveBodyWeight, giveMax } from '../maxes/service.ts'
import { giveFact, takeBack } from '../progress/service.ts'
import type { SetToLog } from './logbook.ts'
import { refuse } from './refusals.ts'
import { planNear } from './service.ts'
import { insertStart, isFarAhead, knows, readSession, readStart, saveCopy, touchMember } from './store.ts'

/** An operation of a phone in today's format, or why it is none. It needs the exercises that it names. */
export function readOperation(library: Library, input: unknown): Operation | Refusal {
  const { id, kind } = (input ?? {}) as { id?: unknown; kind?: unknown }
  const known = typeof kind === 'string' && Object.hasOwn(operationSchemas, kind)
  if (!known) return refuse(String(id), 'notUnderstood')
  try {
    refuseStrangers(library, input)
    return operationSchemas[kind as Operation['kind']].validateSync(input, {
      strict: true,
      context: { library },
    }) as Operation
  } catch (error) {
    if (!ValidationError.isError(error) && !(error instanceof Problem)) throw error
    const code = ValidationError.isError(error) ? 'notAsExpected' : 'noSuchExercise'
    const errors = faultsOf(error)
    return {
      id: String(id),
      result: 'refused',
      code,
      reason: error.message,
      ...(errors.length && { errors }),
    }
  }
}

/** The faults of what was entered, by the fields of the form that it was typed in. */
function faultsOf(error: ValidationError | Problem): { path: string; message: string }[] {
  if (error instanceof Problem) return error.errors
  const { path, message } = error
  return path?.startsWith('given.') ? [{ path: path.slice('given.'.length), message }] : []
}

/** Applies one operation of a phone. It may come again: what is stored already is answered as such. Sets go to the logbook. */
export async function applyOperation(
  scope: MemberScope,
  operation: Exclude<Operation, SetOperation>,
): Promise<OperationAnswer> {
  switch (operation.kind) {
    case 'start':
      return start(scope, operation)
    case 'startByPosition':
      return startByPosition(scope, operation)
    case 'close':
      return close(scope, operation)
    case 'confirm':
      return confirm(scope, operation)
    case 'answers':
      return answer(scope, operation)
    case 'fact':
    case 'takeBack':
    case 'max':
    case 'bodyWeight':
      return enter(scope, operation)
  }
}

/** A set as the logbook takes it. */
export const setToLog = ({ id, session, rev, start, set }: SetOperation): SetToLog => ({
  session,
  set: {
    ...set,
    id: setLogId(session, set.slot, set.n),
    rev,
    change: id,
    ...(start !== undefined && { start }),
  },
})

type Of<K extends Operation['kind']> = Extract<Operation, { kind: K }>
export type SetOperation = Of<'set'>

/** Starts a session, as it stood on the phone. Where the server's own plan differs is worked out whenever somebody asks, and never stored. */
async function start(scope: MemberScope, operation: Of<'start'>): Promise<OperationAnswer> {
  const { id, enrolment, position, attempt = 1, date, minute, location, shown } = operation
  const at = placeShown(shown.at)
  if (!at || !(await knows(scope, enrolment, shown.version))) return refuse(id, 'notOnProgram')
  const own = { id: sessionLogId(enrolment, at, attempt), enrolment, position, at, attempt, ordinal: 1 }
  return storeStart(scope, own, {
    change: id,
    date,
    minute,
    ...(location !== undefined && { location }),
    shown,
  })
}

/** Starts what stands at a position of the plan, as the server has it now. */
async function startByPosition(
  scope: MemberScope,
  operation: Of<'startByPosition'>,
): Promise<OperationAnswer> {
  const { id, enrolment, position, attempt = 1, date, location } = operation
  const { read, planned } = await planNear(scope, date, location)
  const plan = planned.plans[enrolment]
  if (!plan) return refuse(id, 'notOnProgram')
  const shown = snapshot(plan, position)
  if (!shown) return refuse(id, 'noSuchSession')
  const ordinal = 1 + read.file.member.logs.filter((log) => log.date === date).length
  const own = { id: sessionLogId(enrolment, position, attempt), enrolment, position, attempt, ordinal }
  return storeStart(scope, own, { change: id, date, ...(location !== undefined && { location }), shown })
}

type Place = Pick<SessionLog, 'id' | 'enrolment' | 'position' | 'at' | 'attempt' | 'ordinal'>

async function storeStart(
  scope: MemberScope,
  { id, enrolment, position, at, attempt, ordinal }: Place,
  start: GivenStart,
): Promise<OperationAnswer> {
  const { change, date, minute, location } = start
  const log: SessionLog = {
    id,
    enrolment,
    position,
    ...(at && { at }),
    attempt,
    ordinal,
    rev: 1,
    change,
    date,
    ...(minute !== undefined && { minute }),
    ...(location !== undefined && { location }),
    closed: false,
    sets: [],
  }
  // A phone whose clock is wrong: the session is kept, and counts once somebody says which day it was.
  if (await isFarAhead(scope, date)) log.waits = true
  const revision = await touchMember(scope, { date, session: id })
  const isNew = await insertStart(scope, revision, log, start)
  if (isNew === null) return refuse(change, 'notOnProgram')
  return { id: change, result: isNew ? 'stored' : 'already had' }
}

/** Gives a session that waits the day that it was: one start more, which is its first since it is the earlier one. */
async function confirm(scope: MemberScope, { id, session, date }: Of<'confirm'>): Promise<OperationAnswer> {
  const log = await readSession(scope, session)
  const start = log && (await readStart(scope, session))
  if (!log || !start) return refuse(id, 'notStarted')
  if (!log.waits) return { id, result: 'already had' }
  if (await isFarAhead(scope, date)) return refuse(id, 'farAhead')
  return storeStart(scope, log, { ...start, change: id, date })
}

/** Keeps what was said of a session: of two phones the higher revision, of equal ones the greater id, whichever comes first. */
async function answer(
  scope: MemberScope,
  { id, session, rev, answers }: Of<'answers'>,
): Promise<OperationAnswer> {
  const revision = await touchMember(scope, { session })
  const log = await readSession(scope, session)
  if (!log) return refuse(id, 'notStarted')
  const had = log.answers
  const entry = { ...answers, rev, change: id }
  if (had && !beats({ id, rev, change: id }, { id, rev: had.rev ?? 1, change: had.change }))
    return { id, result: 'already had' }
  await saveCopy(scope, revision, { ...log, answers: entry })
  return { id, result: 'stored' }
}

async function close(scope: MemberScope, { id, session }: Of<'close'>): Promise<OperationAnswer> {
  const revision = await touchMember(scope, { session })
  const log = await readSession(scope, session)
  if (!log) return refuse(id, 'notStarted')
  if (log.closed) return { id, result: 'already had' }
  await saveCopy(scope, revision, { ...log, closed: true })
  return { id, result: 'stored' }
}

/** What a member enters beside their sets, as the pages for it enter it, under an id of the phone. */
async function enter(
  scope: MemberScope,
  operation: Of<'fact' | 'takeBack' | 'max' | 'bodyWeight'>,
): Promise<OperationAnswer> {
  const { id } = operation
  const isNew = await entered(scope, operation)
  return { id, result: isNew ? 'stored' : 'already had' }
}

function entered(
  scope: MemberScope,
  operation: Of<'fact' | 'takeBack' | 'max' | 'bodyWeight'>,
): Promise<boolean> {
  switch (operation.kind) {
    case 'fact':
      return giveFact(scope, operation.given, operation.entry)
    case 'takeBack':
      return takeBack(scope, operation.entry, operation.today, operation.id)
    case 'max':
      return giveMax(scope, operation.given, operation.entry)
    case 'bodyWeight':
      return giveBodyWeight(scope, operation.given, operation.entry)
  }
}
