import type { Id } from '../../parsing/index.ts'
import type { WhyStep } from '../../words/index.ts'
import { startCourse, type Course } from '../../calendar/index.ts'
import { liftKey, type Lift } from '../../library/index.ts'
import type { Felt } from '../../loads/index.ts'
import type { RuleKind, LastExposure } from '../../progressions/index.ts'
import type { Run } from '../../triggers/index.ts'
import type { Day, Load } from '../../units/index.ts'

/**
 * The state of one enrolment between two sessions: small plain JSON that holds what cannot be read off the logs of a single
 * session; everything shown is computed from it. Its maps are written in place while a fold runs: `copyState` parts two
 * futures of one past. What the maps hold is never changed, only replaced.
 */
export type FoldState = {
  course: Course
  /** By progression and lift: loads do not carry from one exercise to another. */
  progressions: Record<string, Running>
  /** Last loads of another enrolment as of the first day of this one, by lift or exercise; null before that day, or where none are carried. */
  carried: Readonly<Record<string, LastExposure>> | null
  /** Rows by week that each slot has trained, by phase and slot. */
  rows: Record<string, RowsTrained>
  /** Exposures of each slot, by phase and slot; where lifts take turns by them, of the whole plan. */
  exposures: Record<string, number>
  /** The heaviest load trained, by phase, slot and lift, where rows are counted back from a test day. */
  heaviest: Record<string, Load>
  /** The load on the bar in each role of a progression, when it was last trained, and when last in a deload. */
  roles: Record<string, { normal?: RoleLoad; deload?: RoleLoad }>
  /**
   * The heaviest load of prescriptions that are asked at last time's, by slot, prescription and lift, as it would be without the member's
   * own changes in percent; without a date where it is one of a session still to come.
   */
  lastLoads: Record<string, { load: Load; date: Day | null }>
  /** What each lift has moved in the latest week that it was trained in, reps times load, as it would be without that week's changes. */
  moved: Record<string, { week: number; load: Load }>
  /** Phases whose trigger has fired in a week that may be their last, whatever came after it. */
  ended: readonly Id[]
  lastDay: Day | null
  /** The plan's week in which the member came back after an absence. */
  backWeek: number | null
  /** Percent on every load of that week; 0 for none. */
  backBy: number
}

/** Rows, from 0: those of earlier weeks, and the one of the latest week, in which every place reads the same. */
export type RowsTrained = { before: number[]; week: number; row: number }

/** A progression at work on a lift. Without a state it starts when it is next asked. */
export type Running = {
  stage: Id
  rule: RuleKind
  run: Run
  /** What it ended on under the stage or rule before. */
  last: LastExposure | null
  state: object | null
  /** Kept by a rule that the phase has of its own. */
  ofPhase?: true
  /** A hit that counted for nothing, since the stage waits for a good technique rating. */
  waits?: WhyStep
  /** A hit was trained under it; and whether it has gone on since by hits that a plan only supposes. */
  earned?: true
  supposed?: true
  /** The stage's sign has shown, and the next one is on offer. */
  offered?: true
}

/** A load in a role, and the changes in percent that have acted on it. */
export type RoleLoad = { load: Load; date: Day | null; week: number; felt?: Felt }

export const startState = (from: Day): FoldState => ({
  course: startCourse(from),
  progressions: {},
  carried: null,
  rows: {},
  exposures: {},
  heaviest: {},
  roles: {},
  lastLoads: {},
  moved: {},
  ended: [],
  lastDay: null,
  backWeek: null,
  backBy: 0,
})

export const copyState = (state: FoldState): FoldState => ({
  course: state.course,
  progressions: { ...state.progressions },
  carried: state.carried,
  rows: { ...state.rows },
  exposures: { ...state.exposures },
  heaviest: { ...state.heaviest },
  roles: { ...state.roles },
  lastLoads: { ...state.lastLoads },
  moved: { ...state.moved },
  ended: state.ended,
  lastDay: state.lastDay,
  backWeek: state.backWeek,
  backBy: state.backBy,
})

/** What the load of a prescription is kept by, for the next time. */
export const lastKey = (slot: Id, prescribed: Id, lift: Lift): string =>
  `${slot}/${prescribed}/${liftKey(lift)}`

/** What the exposures of a slot are counted by over all phases: a phase has an id. */
export const turnKey = (slot: Id): string => `/${slot}`
