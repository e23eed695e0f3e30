import type { Today } from '../loads/index.ts'
import type { Answers } from '../progressions/index.ts'
import type { Adjustment, Change } from '../adjustments/index.ts'
import type { Id } from '../parsing/index.ts'
import type { FormulaKind } from '../maxes/index.ts'
import type { Lift, Muscle } from '../library/index.ts'
import type { WhyStep } from '../words/index.ts'
import type { OtherGoal } from '../goals/index.ts'
import type { AsWritten, Circuit, SetStyle } from '../template/index.ts'
import type { WarmUpSet } from '../warmups/index.ts'
import type { Amount, Day, Fixed, Load, Rack, Span, Unit } from '../units/index.ts'

/** A person in one gym, as the planner sees them: dated facts and logs, in any order of arrival. */
export type Member = { facts: Fact[]; logs: SessionLog[] }

/** What every dated entry carries. Entries are never changed: a correction is a new one that names what it replaces. */
export type Entry = {
  id: Id
  /** Of one id the highest revision wins; of equal ones the greater change id. */
  rev: number
  change?: string
  replaces?: Id
  /** A deletion: the entry, and what it replaces, no longer counts. */
  void?: true
  date: Day
}

/** A block that a member is on: a phase of a program. */
export type BlockOf = { enrolment: Id; phase: Id }

export type Fact = Entry & { actsFrom: Day } & FactBody

export type FactBody =
  | MaxFact
  | { kind: 'bodyWeight'; load: Load }
  | { kind: 'unit'; unit: Unit }
  /** Which place's equipment "at home" means. */
  | { kind: 'home'; place: Id }
  /** What a place has: barbells and plates, one rack a unit; dumbbells and stacks where they are listed. */
  | ({ kind: 'equipment'; place: Id } & EquipmentBody)
  /** A test day, and on what day it is; a later entry moves it from the day that it acts. */
  | { kind: 'test'; on: Day }
  | LightFact
  /** A change of the member's own, applied last, until it is withdrawn. */
  | { kind: 'adjust'; adjustment: Adjustment }
  | { kind: 'withdraw'; adjustment: Id }
  /** Somebody took the offer that a lift goes on to the next stage of its progression. */
  | { kind: 'handover'; progression: Id; stage: Id }
  | ({ kind: 'checkIn' } & CheckIn)
  | ({ kind: 'about' } & About)
  | { kind: 'event'; what: EventKind; name?: string; on: Day; to?: Day }
  /**
   * The estimated max that a lift is to reach by a day, or by the end of a block. A later goal of the lift and block takes its
   * place, and none takes it back.
   */
  | ({ kind: 'goal'; to: Load | null; by?: Day; block?: BlockOf } & Lift)
  | TrialFact
  /** What a trial led to, with what made it uncertain. */
  | { kind: 'decision'; trial: Id; chosen: 'first' | 'second' | 'neither'; note?: string }
  /** The next week that the plan has light is trained as it is written. */
  | { kind: 'skipLight' }
  /** The phase is over for this member with the week that is running. */
  | { kind: 'nextPhase'; phase: Id }
  /** An answer of the advisor was taken, or left: one that was left does not come again for a week. */
  | { kind: 'adviceTaken'; answer: string; taken: boolean }
  /** The most sets of a muscle a week that the member is to be asked, until another ceiling or none. */
  | { kind: 'ceiling'; muscle: Muscle; sets: number | null }

/**
 * The next week that begins is light, in these ways, or the next `weeks` are; on the member's own clock `shift` puts them in before
 * the plan's. `back` is the return: what is taken off the loads in the weeks behind them, in percent; nothing for straight back.
 */
export type LightFact = {
  kind: 'light'
  changes: Change[]
  /** Of these muscle groups alone. */
  muscles?: Muscle[]
  shift: boolean
  weeks?: number
  back?: number[]
  reason?: (typeof lightReasons)[number]
}
export const lightReasons = ['tired', 'holiday', 'illness', 'sore joints', 'advice'] as const

/** How a member is, when they are asked: each answer may be left out. 1 is poor, 5 is good. */
export type CheckIn = {
  sleep?: number
  mood?: number
  /** 1 is worn out, 5 is fresh. */
  freshness?: number
  joints?: (typeof jointAnswers)[number]
  /** Muscles that are still sore. */
  sore?: Muscle[]
}
export const jointAnswers = ['fine', 'achy', 'painful'] as const

/** What else a member may tell, or withhold: it makes light weeks come a little sooner. */
export type About = { overForty?: boolean; deficit?: boolean; stress?: boolean }

/** Trips, exams, shift weeks, new equipment, another weight class. */
export const eventKinds = ['trip', 'exams', 'shift work', 'new equipment', 'weight class', 'other'] as const
export type EventKind = (typeof eventKinds)[number]

/** Two spells that differ in one thing, judged by the same measures: the estimated max of these lifts, hits and how hard it was. */
export type TrialFact = {
  kind: 'trial'
  name: string
  differs: string
  first: { from: Day; to: Day }
  second: { from: Day; to: Day }
  lifts: Lift[]
}

/** What a place has: one rack a unit, and what comes in fixed loads, where it is listed. */
export type EquipmentBody = { racks: Rack[]; fixed?: Fixed[] }

/** A max in force: tested as a single, or an estimate that somebody accepted, with the set it came from. */
export type MaxFact = {
  kind: 'max'
  /** Of a body-weight exercise what was added, 0 for body weight alone, or with `help` what was taken off. */
  load: Load
  help?: true
  reps: number
  /** Reps left in reserve: they count as reps. */
  rir?: number
  how: 'tested' | 'accepted estimate'
  /** Somebody took it although it is lower than the max in force; without it a lower test is a proposal. */
  accepted?: true
  formula?: FormulaKind
} & Lift

export type Enrolment = {
  id: Id
  /** Weeks end when their places are done, or on their dates. A test day needs dates. */
  clock?: 'own' | 'calendar'
  /** In order. The first one's day is the first day of the plan. */
  segments: Segment[]
}

/** A version and a track, in force from a day: with the next plan week that begins, or with the next session. */
export type Segment = { from: Day; version: Id; track?: Id; begins?: 'week' | 'session' }

/** One session as it was trained. Its id is made of enrolment, place and attempt, so that two phones make one session. */
export type SessionLog = Entry & {
  enrolment: Id
  position: number
  /** 1 unless the place was trained again. */
  attempt: number
  /** 1st, 2nd … session of its day. */
  ordinal: number
  /** Where it was trained; home when absent. */
  place?: Id
  closed: boolean
  /** What stood on the screen when it was started. Absent for a log from paper. */
  shown?: Shown
  sets: SetLog[]
  answers?: Answers & { rev?: number; change?: string }
}

/** One set. A prescribed set's id is made of session, slot and number. */
export type SetLog = {
  id: Id
  rev: number
  change?: string
  void?: true
  slot: Id
  /** Number within the slot, from 1, warm-ups not counted. */
  n: number
  state: 'done' | 'failed' | 'notDone'
  /** Of a body-weight exercise what was added, or with `help` what was taken off. */
  load?: Load
  help?: true
  reps?: number
  /** A time, a distance or rounds, where that was asked. */
  amount?: Amount
  rir?: number
  /** Of the reps, those that a partner or a machine helped with. */
  assisted?: number
  /** Bands or chains on the bar, by name and number: they are no kilos. */
  bands?: string
  /** How it was done, where it was not plain: speed, lowering-only, held and partial sets say nothing about a max. */
  style?: SetStyle
  /** Done in the other way that was asked, at its share of the reps. */
  option?: true
  /** Not through the whole range. */
  partial?: true
  pain?: true
  /** How well it was done: a rule may wait for a good mark. */
  technique?: 'good' | 'poor'
} & Lift

/** The snapshot that history keeps: what was asked, on that day's plates, under that version. */
export type Shown = {
  format: 1
  engine: string
  version: Id
  at: ShownAt
  slots: Record<Id, ShownSlot>
}

/** Where in the plan a session stood when it was shown. */
export type ShownAt = {
  phase: Id
  week: number
  phaseWeek: number
  inWeek: number
  session: Id
  toTest?: number
}

export type ShownSlot = Lift & {
  light?: true
  circuit?: Circuit
  warmUps?: WarmUpSet[]
  groups: ShownGroup[]
}

/** A group of sets as shown: `target` is what the rule meant, `load` what was asked after adjustments on today's plates. */
export type ShownGroup = AsWritten & {
  group: Id
  sets: number
  /** Reps of each set, or null where `goal` says what is asked. */
  reps: Span | null
  plus?: 'last'
  goal?: OtherGoal
  rir?: number
  target: Load | null
  load: Load | null
  /** The progression's own load that the target came from, where it came from one. */
  ruled?: Load
  /** The plates of one side, heaviest first, for a barbell, and the weight of the bar. */
  side?: number[]
  bar?: number
  /** The plates on the belt. */
  hung?: number[]
  /** The body weight that is part of the target; the load goes on top of it, or with `help` takes off. */
  body?: Load
  help?: true
  /** A load was to be given, and what it is based on is missing: what that is. */
  missing?: true
  need?: 'max' | 'bodyWeight' | 'role'
  /** Less than meant for want of plates, or by a change of the member's own: neither step nor miss. */
  short?: true
  /** How the load follows what is lifted today. */
  today?: Today
  why: WhyStep[]
}

export const sessionLogId = (enrolment: Id, position: number, attempt: number): Id =>
  `${enrolment}:${position}:${attempt}`
export const setLogId = (session: Id, slot: Id, n: number): Id => `${session}:${slot}:${n}`
