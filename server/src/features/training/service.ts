import { inputOf } from './planInput.ts'
import { findingsOf, sayFinding } from '@young-oak/core/checks'
import { ownLocation } from '@young-oak/api/equipment'
import {
  operationSchemas,
  type Operation,
  type OperationAnswer,
  type TodayView,
} from '@young-oak/api/training'
import { beats, placeShown, sessionLogId, setLogId, type SessionLog } from '@young-oak/core/member'
import type { Library } from '@young-oak/core/library'
import { planMember, snapshot, type Plan, type Planned } from '@young-oak/core/plan'
import { addDays, type Day } from '@young-oak/core/units'
import { ValidationError } from 'yup'
import type { GivenStart } from '../../database/columns.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { Problem } from '../../http/problem.ts'
import { refuseStrangers } from '../exercises/library.ts'
import { listProposals } from '../maxes/service.ts'
import { readMemberFile, type Read } from './memberFile.ts'
import type { SetToLog } from './logbook.ts'
import { insertStart, keepCheckpoint, knows, readSession, saveCopy, touchMember } from './store.ts'

/** A member's own screen on a day. */
export async function today(scope: MemberScope, day: Day, at?: string): Promise<TodayView> {
  const { read, planned } = await planNear(scope, day, at)
  const { file, locations } = read
  const { member, enrolments, versions } = file
  const { plans, evidence, proposals } = planned
  const programs = enrolments.map(({ id }) => {
    const plan = plans[id] as Plan
    const template = versions[plan.version]
    const track = template?.tracks[plan.track ?? '']?.name
    return {
      enrolment: id,
      name: template?.name ?? '',
      ...(template?.note && { note: template.note }),
      ...(track && { track }),
      plan,
    }
  })
  const recent = member.logs.filter(({ date }) => date >= addDays(day, -7))
  return {
    programs,
    enrolments,
    logs: recent,
    evidence,
    findings: findingsOf(inputOf(scope, file, { today: day, through: 'near', at }), planned).map(sayFinding),
    proposals: listProposals(scope, proposals),
    locations: evidence.equipment[ownLocation]
      ? [...locations, { id: ownLocation, name: 'My own' }]
      : locations,
  }
}

/**
 * The weeks around a day, planned from the member's checkpoint where it holds, and else from everything; the next checkpoint
 * is kept.
 */
async function planNear(
  scope: MemberScope,
  day: Day,
  at?: string,
): Promise<{ read: Read; planned: Planned }> {
  const plan = ({ file, checkpoint }: Read) =>
    planMember(inputOf(scope, file, { today: day, through: 'near', at }), checkpoint)
  let read = await readMemberFile(scope, day)
  let planned = plan(read)
  const kept = read.checkpoint
  if (kept && !planned.isResumed) {
    read = await readMemberFile(scope)
    planned = plan(read)
  }
  const { checkpoint } = planned
  if (checkpoint && (!planned.isResumed || checkpoint.through !== kept?.through))
    await keepCheckpoint(scope, checkpoint, read)
  return { read, planned }
}

/** An operation of a phone in today's format, or why it is none. It needs the exercises that it names. */
export function readOperation(library: Library, input: unknown): Operation | { id: string; reason: string } {
  const { id, kind } = (input ?? {}) as { id?: unknown; kind?: unknown }
  const known = typeof kind === 'string' && Object.hasOwn(operationSchemas, kind)
  if (!known) return { id: String(id), reason: 'This app is older than the server, or newer. Load it again.' }
  try {
    refuseStrangers(library, input)
    return operationSchemas[kind as Operation['kind']].validateSync(input, {
      strict: true,
      context: { library },
    }) as Operation
  } catch (error) {
    if (!ValidationError.isError(error) && !(error instanceof Problem)) throw error
    return { id: String(id), reason: error.message }
  }
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
    case 'answers':
      return answer(scope, operation)
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

export const notStarted = 'This session was not started.'
export const ourFault = 'This could not be stored, which is our fault: tell your coach.'

/** Starts a session, as it stood on the phone. Where the server's own plan differs is worked out whenever somebody asks, and never stored. */
async function start(scope: MemberScope, operation: Of<'start'>): Promise<OperationAnswer> {
  const { id, enrolment, position, attempt = 1, date, minute, location, shown } = operation
  const at = placeShown(shown.at)
  if (!at || !(await knows(scope, enrolment, shown.version)))
    return { id, result: 'refused', reason: 'You are not on this program.' }
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
  if (!plan) return { id, result: 'refused', reason: 'You are not on this program.' }
  const shown = snapshot(plan, position)
  if (!shown) return { id, result: 'refused', reason: 'The program has no such session any more.' }
  const ordinal = 1 + read.file.member.logs.filter((log) => log.date === date).length
  const own = { id: sessionLogId(enrolment, position, attempt), enrolment, position, attempt, ordinal }
  return storeStart(scope, own, { change: id, date, ...(location !== undefined && { location }), shown })
}

type Place = Pick<SessionLog, 'id' | 'enrolment' | 'position' | 'at' | 'attempt' | 'ordinal'>

async function storeStart(scope: MemberScope, place: Place, start: GivenStart): Promise<OperationAnswer> {
  const { change, date, minute, location } = start
  const log: SessionLog = {
    ...place,
    rev: 1,
    change,
    date,
    ...(minute !== undefined && { minute }),
    ...(location !== undefined && { location }),
    closed: false,
    sets: [],
  }
  const revision = await touchMember(scope, { date, session: place.id })
  const isNew = await insertStart(scope, revision, log, start)
  if (isNew === null) return { id: change, result: 'refused', reason: 'You are not on this program.' }
  return { id: change, result: isNew ? 'stored' : 'already had' }
}

/** Keeps what was said of a session: of two phones the higher revision, of equal ones the greater id, whichever comes first. */
async function answer(
  scope: MemberScope,
  { id, session, rev, answers }: Of<'answers'>,
): Promise<OperationAnswer> {
  const revision = await touchMember(scope, { session })
  const log = await readSession(scope, session)
  if (!log) return { id, result: 'refused', reason: notStarted }
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
  if (!log) return { id, result: 'refused', reason: notStarted }
  if (log.closed) return { id, result: 'already had' }
  await saveCopy(scope, revision, { ...log, closed: true })
  return { id, result: 'stored' }
}
