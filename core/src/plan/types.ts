import type { Rung } from '../explain/rung.ts'
import type { Lift } from '../library/index.ts'
import type { Need } from '../loads/source.ts'
import type { SetLog, ShownGroup } from '../member/types.ts'
import type { Circuit, Id } from '../template/types.ts'
import type { Day } from '../units/index.ts'
import type { WarmUpSet } from '../warmups/ramp.ts'
import type { LastTime } from './evidence.ts'
import type { Verdict } from './verdict.ts'

/** The plan of one enrolment: weeks of places, those trained as they were shown, those ahead as they would be today. */
export type Plan = {
  enrolment: Id
  /** The version and the track of the week that is running. */
  version: Id
  track: Id | null
  start: Day
  weeks: PlannedWeek[]
  /** The position that comes next, or null when every place is taken. */
  next: number | null
  /** The number of the last week, as far as can be told today. */
  lastWeek: number
}

export type PlannedWeek = {
  week: number
  version: Id
  phase: Id
  phaseName: string
  phaseWeek: number
  light: boolean
  /** On a calendar, the week's first day. */
  from?: Day
  /** Weeks to the test day, in a phase that ends with it. */
  toTest?: number
  places: PlannedSession[]
}

export type PlannedSession = {
  position: number
  /** 1, or more where the week is done again. */
  attempt: number
  inWeek: number
  session: Id
  name: string
  /**
   * `open` is started and not closed; `dropped` was given up when its week ended by date; `ahead` loads assume that every
   * session before them is a hit.
   */
  status: 'trained' | 'skipped' | 'dropped' | 'open' | 'next' | 'ahead'
  date?: Day
  log?: Id
  slots: PlannedSlot[]
  /** Slots that were left out or put in by a track, a light week or the member. */
  changes: { slot: Id; rung: Rung }[]
}

export type PlannedSlot = Lift & {
  slot: Id
  /** A, B, C1, C2: neighbours of one letter alternate. */
  letter: string
  note?: string
  light: boolean
  circuit?: Circuit
  /** Sets before the work: neither counted nor judged. */
  warmUps?: WarmUpSet[]
  groups: ShownGroup[]
  /** In a light week to come, what the slot would be asked without it. */
  standsFor?: ShownGroup[]
  needs: Need[]
  /** The lift's latest session before this one. */
  last?: LastTime
  verdict?: Verdict
  /** In a preview, what the slot is supposed to become. */
  supposed?: Verdict
  done?: SetLog[]
}

/** Something that the reader of a plan must know: where, what is the matter, what to do. */
export type Finding = { where: string; what: string; next: string }
