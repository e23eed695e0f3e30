import type { Entry } from './entry.ts'
import type { Today } from '../loads/index.ts'
import type { Answers } from '../progressions/index.ts'
import type { Id } from '../parsing/index.ts'
import type { Lift } from '../library/index.ts'
import type { WhyStep } from '../words/index.ts'
import type { Amrap, OtherGoal } from '../goals/index.ts'
import type { AsWritten, Circuit, SetStyle } from '../template/index.ts'
import type { reasons } from './shape.ts'
import type { WarmUpSet } from '../warmups/index.ts'
import type { Amount, Day, Load, Span } from '../units/index.ts'

export type Enrolment = {
  id: Id
  /** Weeks end when their places are done, or on their dates. A test day needs weeks on dates. */
  clock?: 'own' | 'calendar'
  /** In order. The first one's day is the first day of the plan. */
  segments: Segment[]
  /** From this day on it is over. */
  to?: Day
  /** It begins when that one is over, no earlier than its first segment says. */
  after?: Id
  /** The enrolment whose last loads, as of its first day, its progressions start from. */
  carries?: Id
}

/** A version and a track, in force from a day: with the next plan week that begins, or with the next session. */
export type Segment = { from: Day; version: Id; track?: Id; begins?: 'week' | 'session' }

/** One session as it was trained. Its id is made of enrolment, place and attempt, so that two phones make one session. */
export type SessionLog = Entry & {
  /** Null of training outside every plan, which is evidence alone. */
  enrolment: Id | null
  /** What the plan counted it as when it was started: read only where it names no place. 0 where nobody counted, or it has no enrolment. */
  position: number
  /** 1 unless the place was trained again. */
  attempt: number
  /** The name of its place: a position is counted anew with each planning, this is not. What was shown goes before it. */
  at?: PlaceName
  /** The minute of the day at which it was started: a day's sessions are in the order of their minutes. */
  minute?: number
  /** 1st, 2nd… session of its day, where no minute is known; these go before those with one. */
  ordinal: number
  /** Where it was trained; home when absent. */
  location?: Id
  closed: boolean
  /** What was brought in together carries one id. */
  batch?: Id
  /** Starts of the session, where more than one phone started it. */
  starts?: Start[]
  instead?: Instead[]
  skipped?: Skipped[]
  /** What stood on the screen when it was started. Absent for a log from paper. */
  shown?: Shown
  sets: SetLog[]
  answers?: Answers & { rev?: number; change?: string }
}

/** A place in the plan; in a deload that was inserted also of which fact, and which of its weeks. */
export type PlaceName = { phase: Id; week: number; day: number; deload?: { fact: Id; week: number } }

/** One phone's start of a session: of several the first by date, minute and change is the session's, the others are kept. */
export type Start = { change: Id; date: Day; minute: number; location?: Id; shown?: Shown }

/** Why something was done otherwise than it was asked, or not at all. */
export type Reason = (typeof reasons)[number]

/** What was done in the place of a slot's exercise, why, and what was offered for it. */
export type Instead = { slot: Id; reason: Reason; offered?: Load; why?: WhyStep[] } & Lift

/** A slot that was left out by the member, and why. */
export type Skipped = { slot: Id; reason: Reason }

/** One set. A prescribed set's id is made of session, slot and number. */
export type SetLog = {
  id: Id
  rev: number
  change?: string
  void?: true
  slot: Id
  /** Number within the slot, from 1, warm-ups not counted; 0 of an extra set, which has none. From 51 on in a ramp that finds a load. */
  n: number
  /** Not asked: neither judged nor told to a progression, but lifted. */
  extra?: true
  state: 'done' | 'failed' | 'notDone'
  /** It names no exercise: it was what was asked, whatever that was; till that is known, the slot's own stands here. */
  asAsked?: true
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
  /** What each side did, of a set done one side at a time. */
  sides?: { left?: Side; right?: Side }
  /** Why it was not done. */
  reason?: Reason
  /** The start that it was logged under. */
  start?: Id
  /** Not through the whole range. */
  partial?: true
  pain?: true
  /** How well it was done: a rule may wait for a good rating. */
  technique?: 'good' | 'poor'
} & Lift

/** One side of a set. */
export type Side = { reps?: number; load?: Load; rir?: number }

/** The snapshot that history keeps: what was asked, on that day's plates, under that version. */
export type Shown = {
  format: 2
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
  /** The deload that was put in there, and which of its weeks; null where none was. Absent of snapshots made before it was named. */
  deload?: { fact: Id; week: number } | null
  toTest?: number
}

export type ShownSlot = Lift & {
  deload?: true
  circuit?: Circuit
  warmUps?: WarmUpSet[]
  sets: ShownSets[]
}

/** A prescription as shown: `target` is what the rule meant, `load` what was asked after adjustments on today's plates. */
export type ShownSets = AsWritten & {
  prescription: Id
  sets: number
  /** Reps of each set, or null where `goal` says what is asked. */
  reps: Span | null
  amrap?: Amrap
  goal?: OtherGoal
  rir?: number
  target: Load | null
  load: Load | null
  /** The most that may be chosen in place of the load, where a band is asked. */
  upTo?: Load
  /** The progression's own load that the target came from, where it came from one. */
  ruled?: Load
  /**
   * Where progressions write sets or goals: the sets before any change, how many sets and reps more than
   * written they asked, and the total that the sets are judged by, where it is that.
   */
  byRule?: { sets: number; moreSets?: number; moreReps?: number; total?: number }
  /** The plates of one side, heaviest first, for a barbell, and the weight of the bar. */
  side?: number[]
  bar?: number
  /** The plates on the belt, or on top of the pin. */
  hung?: number[]
  /** Where the pin goes, on a stack that plates can be put on. */
  pin?: number
  /** The body weight that is part of the target; the load goes on top of it, or with `help` takes off. */
  body?: Load
  help?: true
  /** A load was to be given, and what it is based on is missing: what that is. */
  missing?: true
  need?: 'max' | 'bodyWeight' | 'role' | 'topSet'
  /** Less than meant for want of plates, or by a change of the member's own: neither step nor miss. */
  short?: true
  /** The load is more than the lift's own max allows for the reps, or was held to that. */
  beyond?: Beyond
  /** How the load follows what is lifted today. */
  today?: Today
  why: WhyStep[]
}

/**
 * A load above what the lift itself allows for the reps asked: `max` is the most that is known of it, and `most` what that allows. `written`: the
 * template asks for it; `meant`: so far above the max because a test, or more than the max, is meant; `supposed`: only if every session before is a
 * hit; `earned`: hits that were trained have come to it; `held`: it came from another lift, and was held to `most`.
 */
export type Beyond = { how: (typeof beyonds)[number]; max: Load; most: Load; reps: number }
export const beyonds = ['written', 'meant', 'supposed', 'earned', 'held'] as const
