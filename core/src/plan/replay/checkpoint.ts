import type { PlanInput, When } from '../types.ts'
import type { Id } from '../../parsing/index.ts'
import { engine } from '../../engine.ts'
import { addDays, type Day } from '../../units/index.ts'
import { noEvidence, type Evidence, type Happening } from '../../evidence/index.ts'
import { startFold, type Fold } from '../state/fold.ts'
import { copyState, type FoldState } from '../state/state.ts'

/**
 * The folds of a member between two days: a cache, small plain JSON. It holds for the engine that made it and for these enrolments, and as
 * long as everything dated up to `through` and the gym's exercises are what they were. Only whoever keeps the entries can tell
 * the last, and hands in no checkpoint where it is not so.
 */
export type Checkpoint = {
  engine: string
  through: Day
  /** What was in force up to `through`, written out, by enrolment: what begins later changes nothing of it. */
  enrolments: Record<Id, string>
  /** On which day each begins: of one that follows another, nobody else can tell. */
  starts: Record<Id, Day>
  evidence: Evidence
  states: Record<Id, FoldState>
}

/** A day's end on the way, where a checkpoint could be. */
export type Boundary = { through: Day; evidence: Evidence; folds: Fold[] }

/** Boundaries further back are of no use: everything after them would be replayed again and again. */
export const boundariesFrom = (today: Day): Day => addDays(today, -90)

/** Where a replay begins: at a checkpoint, or at the first happening. `first` is each fold's first position that is untouched. */
export type Start = { isResumed: boolean; evidence: Evidence; folds: Fold[]; from: number; first: number[] }

/** Where to begin: at the checkpoint if it holds and lies before today, else at the first happening. */
export function resume(
  { library, enrolments, versions, when }: Pick<PlanInput, 'library' | 'enrolments' | 'versions' | 'when'>,
  checkpoint: Checkpoint | null | undefined,
  happenings: Happening[],
): Start {
  const folds = enrolments.map((enrolment) => startFold(library, enrolment, versions))
  if (
    !checkpoint ||
    checkpoint.engine !== engine ||
    checkpoint.through >= when.today ||
    !isMadeFor(checkpoint, folds)
  )
    return { isResumed: false, evidence: noEvidence, folds, from: 0, first: [] }
  const { through, evidence, states } = checkpoint
  const later = happenings.findIndex(({ day }) => day > through)
  const from = later < 0 ? happenings.length : later
  for (const fold of folds) {
    const state = states[fold.enrolment.id]
    if (state) fold.state = copyState(state)
  }
  return { isResumed: true, evidence, folds, from, first: folds.map(({ state }) => firstUntouched(state)) }
}

/** Whether these enrolments were the same up to the checkpoint's day. One that it does not know begins after that. */
function isMadeFor({ through, enrolments }: Checkpoint, folds: Fold[]): boolean {
  const isSame = (fold: Fold): boolean => {
    const known = enrolments[fold.enrolment.id]
    return known === undefined ? startOf(fold) > through : known === writtenUpTo(fold, through)
  }
  const known = new Set(folds.map(({ enrolment }) => enrolment.id))
  return folds.every(isSame) && Object.keys(enrolments).every((id) => known.has(id))
}

const startOf = ({ enrolment: { segments } }: Fold): Day => segments[0]?.from ?? ''

function writtenUpTo({ enrolment: { segments, to, carries }, isCalendar }: Fold, through: Day): string {
  const begun = segments.filter(({ from }, i) => i === 0 || from <= through)
  return JSON.stringify([isCalendar, begun, to !== undefined && to <= through ? to : null, carries ?? null])
}

function firstUntouched({ course: { running, positions } }: FoldState): number {
  return running && Object.keys(running.taken).length
    ? running.first + running.sessions.length
    : positions + 1
}

/** Whether everything that a plan shows of sessions that were trained was replayed since the checkpoint, so that it can be described. */
export function covers({ first }: Start, folds: Fold[], through: When['through']): boolean {
  if (through === 'next') return true
  return folds.every(({ weeks, state }, i) => {
    const shown = weeks.at(-1)?.first ?? (state.course.week === 0 ? 1 : 0)
    return shown >= (first[i] ?? 0) || (state.course.week === 0 && first[i] === 1)
  })
}

/** The latest boundary before the weeks that a near plan shows, so that those are replayed and can be described. */
export function boundaryNear(boundaries: Boundary[], folds: Fold[]): Boundary | undefined {
  const needed = folds.map(firstNeeded).filter((day) => day !== null)
  const until = needed.reduce<Day | null>((a, b) => (a === null || b < a ? b : a), null)
  return boundaries.findLast(({ through }) => until === null || through < until)
}

/** A boundary as it is kept. */
export function checkpointAt({ through, evidence, folds }: Boundary): Checkpoint {
  // One that follows another, and had not begun, may begin on another day yet.
  const known = folds.filter((fold) => fold.enrolment.after === undefined || startOf(fold) <= through)
  const of = <T>(what: (fold: Fold) => T): Record<Id, T> =>
    Object.fromEntries(known.map((fold) => [fold.enrolment.id, what(fold)]))
  const states = of(({ state }) => state)
  const enrolments = of((fold) => writtenUpTo(fold, through))
  const starts = of(startOf)
  return { engine, through, enrolments, starts, evidence, states }
}

/** The day of the first session in the last week that is over, or in the one that is running. */
function firstNeeded({ weeks, state, trained }: Fold): Day | null {
  const first = weeks.at(-1)?.first ?? state.course.running?.first ?? 1
  return trained.find(({ place }) => place.position >= first)?.log.date ?? null
}
