import type { Answers } from './answers.ts'
import type { Because } from './because.ts'
import type { ObjectSchema } from 'yup'
import type { Fields, Messages, WhyStep } from '../words/index.ts'
import type { Goal, OtherGoal } from '../goals/index.ts'
import type { Lift, Library } from '../library/index.ts'
import type { MaxInForce, Need } from '../loads/index.ts'
import { highest, lowest, type Load, type Rise, type Span, type Unit } from '../units/index.ts'

/** What a rule may know when it starts on a lift. */
export type Starting = {
  library: Library
  lift: Lift
  max: MaxInForce | null
  /** Body weight, which a body-weight lift has as a part of its load. */
  body?: Load
  unit: Unit
  /**
   * What a track makes of a first load, with the rungs that say so: a factor in percent, and points on the percentage that it is. A running
   * load is never scaled.
   */
  first: { scale: number; points: number; steps: WhyStep[] }
  /** Where the lift stood under another stage or another rule, if it comes from one. Never that rule's own state. */
  last: LastExposure | null
}

export type LastExposure = {
  date: string | null
  load: Load
  /** It was made under another program, whose loads this one goes on with. */
  isCarried?: true
}

/** Where in the plan something stands: its week, and its place in it, from 1. */
export type RuleAt = {
  week: number
  inWeek: number
  /**
   * Slots of the week that follow the same progression, in their order, for a rule that shares sets among them; and what a set of each counts
   * for the muscle.
   */
  shares?: { roles: string[]; own: number; counts: number[] }
  /** The most sets a week that the member's own limit allows, where there is one. */
  mostSets?: number
}

/** The best set of an exposure, by what it says about the max. */
export type TopSet = { load: Load; reps: number; rir?: number; estimate: Load }

/** A set as a rule may compare it: the whole load, the reps that were the lifter's own, and the RIR where it was noted. */
export type SetSeen = { load: Load | null; reps: number; rir?: number }

/** Sets and goal as they were shown; and by how much sets and reps were more than what is written. */
export type SchemeShown = {
  sets: number
  reps: Span | null
  goal?: OtherGoal
  moreSets: number
  moreReps: number
  variant?: string
}

/** What a rule is told after a session in which its lift was trained. */
export type Exposure = {
  /** Null for an exposure still to come, which a plan assumes. */
  date: string | null
  at: RuleAt
  role: string
  /** `hold`: done, but at a load that proves neither a step nor a miss. */
  verdict: 'hit' | 'miss' | 'hold'
  /** Why it is a hold, where it is one. */
  because?: Because
  /** The load that the exposure counts for, before rounding; null where the slot was given none. */
  target: Load | null
  /** The heaviest load that the reps asked were done at, by the lifter alone; absent where none was. */
  lifted?: Load
  /** Reps asked of each set, and those done, set by set as prescribed; nothing done yet in an exposure still to come. */
  asked: Span
  reps: number[]
  /** Reps of the AMRAP set; absent where none was asked, or where it was left blank. */
  amrap?: number
  /** Reps in reserve (RIR): asked, and noted set by set, null where nothing was noted. */
  askedRir?: number
  rir?: (number | null)[]
  /** Null where no set says anything about a max. */
  top?: TopSet | null
  /** The sets that were done, for a rule that compares them with the last ones itself. */
  sets?: SetSeen[]
  /** The sets that were done of each drop below today's top set, for a rule that keeps a record of each. */
  lines?: { id: string; sets: SetSeen[] }[]
  /** What was shown of sets and goal, which a late or corrected log may have moved away from what the rule would show now. */
  shown?: SchemeShown
  /** The mark of the session's sets: poor if one of them was, good if one was marked so and none poor. */
  technique?: 'good' | 'poor'
  /** A stop sign ended the sets before the last one. */
  ended?: true
  answers?: Answers
}

/** Whether a hit had nothing to spare in its last set, as far as was noted. */
export function isBarely({ verdict, asked, reps, amrap, rir }: Exposure): boolean {
  if (verdict !== 'hit') return false
  if (rir?.at(-1) === 0) return true
  const last = amrap ?? (lowest(asked) < highest(asked) ? reps.at(-1) : undefined)
  return last !== undefined && last <= lowest(asked)
}

/** Things of the member's that a rule needs for numbers: their unit, and what they can make at home. */
export type Hand = {
  unit: Unit
  /**
   * Where a cut lands: the heaviest load at or below it that can be made, and below the load on the bar that was missed. Below the lightest
   * load there is, the cut itself.
   */
  land(cut: Load, missed: Load): Load
  /**
   * A load after a step: exact, since steps finer than the plates must add up. Where rounding would then skip a weight that lies within the
   * step, that weight.
   */
  raise(from: Load, by: Rise): Load
  /** The lightest load above this one that can be made at home; null where there is none. */
  above(load: Load): Load | null
  /** A first load by parameters that state one, as it would be today, from the max in force; undefined where nobody is told of a session. */
  again: ((params: object) => { load: Load; why: WhyStep[] } | Need) | undefined
}

/**
 * What a rule asks: a load; sets beside those that are written, or in place of them; a goal, or only how much of the one that is
 * written; reps beyond those written; RIR; the variant of the lift.
 */
export type Asks = {
  load?: Load
  moreSets?: number
  sets?: number
  /** The fewest sets, where those that are written are the most. */
  least?: number
  goal?: Goal
  amount?: number
  moreReps?: number
  rir?: number
  variant?: string
  /** The sets are judged by so many reps in all, and no set by itself. */
  total?: number
  /** What is said of single lines of the sets, by their ids. */
  lines?: Record<string, WhyStep[]>
  steps: WhyStep[]
}

/** What a rule may write. */
export const writables = ['load', 'sets', 'reps', 'rir', 'variant'] as const
export type Writable = (typeof writables)[number]

/** Goals that can carry a rule; a slot that has none is an error of its template. */
export type CarriedBy = {
  expected: string
  fits(goal: Goal): boolean
  /** Only sets of which some may be left out. */
  isFree?: true
  /** Sets that can, for a first slot, for examples, and as the fix where no goal of a slot fits. */
  sample: { sets: number; goal: Goal; least?: number }
}

/** Whether sets can carry a rule. */
export const canCarry = (
  { fits, isFree }: CarriedBy,
  { goal, least }: { goal: Goal; least?: number | undefined },
): boolean => fits(goal) && (!isFree || least !== undefined)

/**
 * A progression rule: it turns what was logged into what comes next. One file a rule, file name = export = the `kind`
 * that templates store. A rule reads no clock, no store and no other slot; its state is small plain JSON and is never
 * rounded to plates, or a step finer than the plates would never move.
 */
export type Rule<P, S> = {
  kind: string
  title: string
  /** What makes its numbers move: each exposure, or each week with one. */
  clock: 'exposure' | 'week'
  /** What it keeps a state of: a lift with its variant, unless an exercise with all of its variants, or a muscle. */
  of?: 'exercise' | 'muscle'
  /** Whether it steps from what was asked or from what was done. */
  from: 'asked' | 'done'
  roles: readonly string[]
  /** Roles that belong to it and move nothing. */
  quiet?: readonly string[]
  writes: readonly Writable[]
  /** What of these it only adds to what is written. */
  adds?: readonly Writable[]
  carriedBy?: CarriedBy
  /** It goes by the best set's estimate, which is worked out for it alone. */
  readsTop?: true
  /** It compares what was done itself: a lighter load that was chosen is heard as what it is. */
  hearsLighter?: true
  /** It hears each drop below the top set by itself. */
  hearsLines?: true
  /**
   * The state as it was when it asked what was shown, for a rule that writes sets or goals; null where it never asked that. `order`: whether
   * what was shown asks more (above 0) or less than the state's own; 0 where they are the same or do not compare.
   */
  credits?(state: S, shown: SchemeShown, params: P): { state: S; order: number } | null
  params: ObjectSchema<P & object>
  /** What its parameters are called, each with its unit and a hint. */
  fields: Fields
  sentence(params: P): string
  start(known: Starting, params: P): S | Need
  next(state: S, exposure: Exposure, params: P, hand: Hand): S
  /** What time alone has made of the state by a place of the plan, before it asks there or hears of it; the same state where nothing. */
  inTime?(state: S, params: P, at: RuleAt, hand: Hand): S
  ask(state: S, role: string, params: P, at: RuleAt): Asks
  /** Parameters that act only at its start, beside those of a first load. */
  onlyAtStart?: readonly string[]
  /** The rises that it may make after one exposure, where its loads are of one scheme and one role: none is larger. */
  jumps?(params: P): Rise[]
  /** Whether it has come to ask for a deload. */
  wantsDeload?(state: S): boolean
  messages: Messages
  examples: Example<P>[]
}

/** A worked check: what is asked before each exposure and after the last: loads, sets, or "5 × 5 @ 100" where the rule writes all. */
export type Example<P> = {
  say: string
  params: P
  max: Load | null
  /** A verdict, or the reps of each set with the verdict that they earn. */
  exposures: (Exposure['verdict'] | GivenExposure)[]
  asked: (number | string)[]
  role?: string
  span?: Span
}

/** An exposure of a worked check: in the week of its number, one a week, unless it says where. */
export type GivenExposure = Pick<Exposure, 'verdict'> & Partial<Exposure>

export const defineRule = <P, S>(rule: Rule<P, S>): Rule<P, S> => rule
