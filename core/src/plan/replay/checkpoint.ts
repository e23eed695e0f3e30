import type { PlanInput } from '../types.ts'
import type { Id } from '../../parsing/index.ts'
import { engine } from '../../engine.ts'
import type { Enrolment, SessionLog } from '../../member/index.ts'
import { addDays, type Day } from '../../units/index.ts'
import { noEvidence, type Evidence, type Happening } from '../../evidence/index.ts'
import { startFold, type Fold } from '../state/fold.ts'
import { copyState, type FoldState } from '../state/state.ts'

/**
 * The folds of a member between two days: a cache, small plain JSON. It holds only for the engine that made it, for these
 * enrolments, and as long as everything dated up to `through` is what it was.
 */
export type Checkpoint = {
  engine: string
  through: Day
  key: string
  evidence: Evidence
  states: Record<Id, FoldState>
}

/** A day's end on the way, where a checkpoint could be. */
export type Boundary = { through: Day; evidence: Evidence; folds: Fold[]; count: number }

/** Boundaries further back are of no use: everything after them would be replayed again and again. */
export const boundariesFrom = (today: Day): Day => addDays(today, -90)

/** Where a replay begins: at a checkpoint, or at the first happening. `first` is each fold's first position that is untouched. */
export type Start = { evidence: Evidence; folds: Fold[]; from: number; first: number[] }

/** Where to begin: at the checkpoint if it holds, else at the first happening. */
export function resume(
  { library, enrolments, versions }: Pick<PlanInput, 'library' | 'enrolments' | 'versions'>,
  checkpoint: Checkpoint | null | undefined,
  happenings: Happening[],
): Start {
  const folds = enrolments.map((enrolment) => startFold(library, enrolment, versions))
  const anew: Start = { evidence: noEvidence, folds, from: 0, first: [] }
  if (!checkpoint || checkpoint.engine !== engine) return anew
  const { through, key, evidence, states } = checkpoint
  const later = happenings.findIndex(({ day }) => day > through)
  const from = later < 0 ? happenings.length : later
  if (keyOf(happenings, from, enrolments) !== key) return anew
  for (const fold of folds) fold.state = copyState(states[fold.enrolment.id] as FoldState)
  return { evidence, folds, from, first: folds.map(({ state }) => firstUntouched(state)) }
}

function firstUntouched({ course: { running, positions } }: FoldState): number {
  return running && Object.keys(running.taken).length
    ? running.first + running.sessions.length
    : positions + 1
}

/** Whether everything that a near plan shows was replayed since the checkpoint, so that it can be described. */
export function covers({ first }: Start, folds: Fold[]): boolean {
  return folds.every(({ weeks, state }, i) => {
    const shown = weeks.at(-1)?.first ?? (state.course.week === 0 ? 1 : 0)
    return shown >= (first[i] ?? 0) || (state.course.week === 0 && first[i] === 1)
  })
}

/**
 * The latest boundary before the weeks that a near plan shows, so that those are replayed and can be described. Null where
 * there is none.
 */
export function checkpointAt(
  boundaries: Boundary[],
  folds: Fold[],
  happenings: Happening[],
): Checkpoint | null {
  const needed = folds.map(firstNeeded).filter((day) => day !== null)
  const until = needed.reduce<Day | null>((a, b) => (a === null || b < a ? b : a), null)
  const boundary = boundaries.findLast(({ through }) => until === null || through < until)
  if (!boundary) return null
  const { through, evidence, count } = boundary
  const key = keyOf(
    happenings,
    count,
    folds.map(({ enrolment }) => enrolment),
  )
  const states = Object.fromEntries(boundary.folds.map((fold) => [fold.enrolment.id, fold.state]))
  return { engine, through, key, evidence, states }
}

/** The day of the first session in the last week that is over, or in the one that is running. */
function firstNeeded({ weeks, state, trained }: Fold): Day | null {
  const first = weeks.at(-1)?.first ?? state.course.running?.first ?? 1
  return trained.find(({ place }) => place.position >= first)?.log.date ?? null
}

/** A short text that changes with anything dated before the checkpoint, or with the enrolments. */
function keyOf(happenings: Happening[], count: number, enrolments: Enrolment[]): string {
  let key = hash(JSON.stringify(enrolments), 0)
  for (let i = 0; i < count; i++) {
    const happening = happenings[i] as Happening
    const own = 'fact' in happening ? stamp(happening.fact) : (happening.stamp ??= stampLog(happening.log))
    key = Math.imul(key ^ own, prime) + i
  }
  return `${count}-${(key >>> 0).toString(36)}`
}

/** A change is of one entry alone; an entry without one is known by its id. */
const stamp = ({ id, rev, change = id }: { id: string; rev: number; change?: string }, from = 0): number =>
  hash(change, from ^ rev)

function stampLog(log: SessionLog): number {
  const { date, minute, closed, answers = null, starts = [] } = log
  const started = starts.map(({ change }) => change).join()
  const own = stamp(log, hash(`${date} ${minute} ${closed} ${JSON.stringify(answers)} ${started}`, 0))
  return log.sets.reduce((before, set) => stamp(set, before), own)
}

const prime = 0x01000193

/** FNV-1a (Fowler, Noll, Vo), 32 bits: a cache key, not a seal. */
function hash(text: string, from: number): number {
  let value = 0x811c9dc5 ^ from
  for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), prime)
  return value
}
