import type { Library } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Because } from '../../progressions/index.ts'
import type { RunningWeek, Place } from '../../calendar/index.ts'
import type { Enrolment, Segment, SessionLog, SetLog } from '../../member/index.ts'
import type { Template } from '../../template/index.ts'
import type { Day } from '../../units/index.ts'
import type { Evidence } from '../../evidence/index.ts'
import type { Prescribed } from './situation.ts'
import { copyState, startState, type FoldState } from './state.ts'

/** One enrolment on its way through the timeline. */
export type Fold = {
  library: Library
  enrolment: Enrolment
  versions: Record<Id, Template>
  isCalendar: boolean
  state: FoldState
  /** Sessions of the running week and of those behind it, for whoever writes the plan out. Not part of the state. */
  trained: Trained[]
  weeks: RunningWeek[]
}

/** A session as it was trained, with what it takes to describe it. */
export type Trained = {
  place: Place
  log: SessionLog
  isOver: boolean
  outcomes: Outcome[]
  evidence: Evidence
}

/** What became of a slot, judged by what was shown. */
export type Verdict = 'hit' | 'miss' | 'skip' | 'deload' | 'not comparable'

/** What became of a slot, with what was asked of it and what was done. */
export type Outcome = { prescribed: Prescribed; verdict: Verdict; because?: Because; done: SetLog[] }

export function startFold(library: Library, enrolment: Enrolment, versions: Record<Id, Template>): Fold {
  const [first] = enrolment.segments
  if (!first) throw new Error('missing segment: an enrolment needs at least one')
  // What is counted back from a test day keeps to dates, whatever else was agreed.
  const countsBack = enrolment.segments.some(({ version }) =>
    versions[version]?.phases.some(({ ends }) => ends),
  )
  const isCalendar = enrolment.clock === 'calendar' || countsBack
  return { library, enrolment, versions, isCalendar, state: startState(first.from), trained: [], weeks: [] }
}

/** A fold as it is now, for a checkpoint: its state alone. */
export const copyFold = (fold: Fold): Fold => foldWith(fold, fold.trained, fold.weeks)

/** A fold of its own from the same past, for looking ahead. */
export const forkFold = (fold: Fold): Fold => foldWith(fold, [...fold.trained], [...fold.weeks])

const foldWith = (
  { library, enrolment, versions, isCalendar, state }: Fold,
  trained: Trained[],
  weeks: RunningWeek[],
): Fold => ({ library, enrolment, versions, isCalendar, state: copyState(state), trained, weeks })

/** The segment in force on a day: the last one that has begun, or the first where none has. */
export function segmentOn({ segments }: Enrolment, day: Day): Segment {
  return (segments.findLast(({ from }) => from <= day) ?? segments[0]) as Segment
}

export function templateOf(
  { versions, enrolment }: Pick<Fold, 'versions' | 'enrolment'>,
  version: Id,
): Template {
  const template = versions[version]
  if (!template) throw new Error(`unknown version "${version}" of enrolment "${enrolment.id}"`)
  return template
}

/** The version of an enrolment that is in force on a day. */
export const templateOn = (enrolment: Enrolment, versions: Record<Id, Template>, day: Day): Template =>
  templateOf({ enrolment, versions }, segmentOn(enrolment, day).version)
