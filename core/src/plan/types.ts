import type { Member, Pause } from '../facts/index.ts'
import type { Because } from '../progressions/index.ts'
import type { Verdict } from './state/fold.ts'
import type { Id } from '../parsing/index.ts'
import type { WhyStep } from '../words/index.ts'
import type { Lift, Library } from '../library/index.ts'
import type { Need } from '../loads/index.ts'
import type { Enrolment, PlaceName, SetLog, ShownSets } from '../member/index.ts'
import type { Circuit, LaterPhase, Template } from '../template/index.ts'
import type { Day } from '../units/index.ts'
import type { WarmUpSet } from '../warmups/index.ts'
import type { LastTime, DatedAhead } from '../evidence/index.ts'

/** The plan of one enrolment: weeks of places, those trained as they were shown, those ahead as they would be today. */
export type Plan = {
  enrolment: Id
  /** The version and the track of the week that is running. */
  version: Id
  track: Id | null
  start: Day
  /** From which day it is over before its last week, where somebody has said so; it may lie ahead. */
  over?: Day
  /** The pause that today lies in. */
  paused?: Pause
  weeks: PlannedWeek[]
  /** The position that comes next, or null when every place is taken. */
  next: number | null
  /** The number of the last week, as far as can be told today. */
  lastWeek: number
  /** Phases after it that are still to be written: it goes on once they are. */
  later?: LaterPhase[]
}

export type PlannedWeek = {
  week: number
  version: Id
  phase: Id
  phaseName: string
  phaseWeek: number
  deload: boolean
  /** On a calendar, the week's first day. */
  from?: Day
  /** A deload that was put in before the week of the phase: of which fact, and which of its weeks. */
  inserted?: { fact: Id; week: number }
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
  /** Of a session to come, where its phase says on which days they lie. */
  on?: OnDay
  slots: PlannedSlot[]
  /** Slots that were left out or put in by a track, a deload or the member. */
  changes: { slot: Id; step: WhyStep }[]
}

/** The day that a session falls on if each before it is trained on its own; with the session before it where that one is, so many hours later. */
export type OnDay = { day: Day; hours?: number; why: WhyStep[] }

export type PlannedSlot = Lift & {
  slot: Id
  /** A, B, C1, C2: neighbours of one letter alternate. */
  letter: string
  note?: string
  deload: boolean
  /** The lifts of which one may be chosen for it, its own first. */
  choices?: Lift[]
  circuit?: Circuit
  /** Sets before the work: neither counted nor judged. */
  warmUps?: WarmUpSet[]
  sets: ShownSets[]
  /** In a deload to come, what the slot would be asked without it. */
  withoutDeload?: ShownSets[]
  needs: Need[]
  /** The lift's latest session before this one. */
  last?: LastTime
  verdict?: Verdict
  /** Why it is not comparable with what was shown, where it is not. */
  because?: Because
  /** In a preview, what the slot is supposed to become. */
  supposed?: Verdict
  done?: SetLog[]
}

/** What a plan is made from, whole: the same input gives the same plan, wherever it is planned. */
export type PlanInput = {
  /** The gym's own exercises that anything here may name, beside those that everybody has. */
  library: Library
  member: Member
  enrolments: Enrolment[]
  /** The versions that the enrolments and the snapshots name. */
  versions: Record<Id, Template>
  when: When
}

export type When = {
  today: Day
  /**
   * How far to write out: every week; the one that is running, with the one after and the one last trained in (`near`), or without that, and with
   * what was trained named alone (`next`); or as far as a week of a phase.
   */
  through: 'near' | 'next' | 'end' | { phase: Id; phaseWeek: number }
  /** Where the next session will be trained; home when it is not said. */
  at?: Id
  /** What is done in a week to come, counted from 1, for a forecast; every set as asked where nothing is said. */
  doing?(week: number): Doing
}

/** What a member is supposed to do with a session: as asked, short of it, more than asked, or nothing at all. */
export type Doing = 'asked' | 'short' | 'more' | 'nothing'

/** Entries that drive nothing: dated after today, or of sessions that no plan has a place for; and those that drive something, in doubt. */
export type SetAside = { ahead: DatedAhead[]; strays: StrayLog[]; doubtful: DoubtfulLog[] }
/** Sessions that count, and that somebody should look at: far ahead of the one before, before the enrolment starts, or a second one at a position. */
export type DoubtfulLog = { log: Id; position: number } & (
  { what: 'far'; ahead: number } | { what: 'early'; date: Day; from: Day } | { what: 'twice'; other: Id }
)
/** `at`: the place that it names, where it names one; else its position. `over`: from when its program is over, if that lies before it. */
export type StrayLog = {
  log: Id
  enrolment: Id
  position: number
  at?: PlaceName
  isEnrolled: boolean
  over?: Day
  /** The pause that today lies in. */
  paused?: Pause
}
