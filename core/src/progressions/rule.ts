import type { ObjectSchema } from 'yup'
import type { Messages, Rung } from '../explain/rung.ts'
import type { Goal } from '../goals/registry.ts'
import type { Lift } from '../library/index.ts'
import type { MaxInForce, Need } from '../loads/source.ts'
import type { Load, Span, Unit } from '../units/index.ts'

/** What a rule may know when it starts on a lift. */
export type Starting = {
  lift: Lift
  max: MaxInForce | null
  /** Body weight, which a body-weight lift has as a part of its load. */
  body?: Load
  unit: Unit
  /** What a track makes of a first load, in percent, with the rungs that say so. A running load is never scaled. */
  first: { scale: number; rungs: Rung[] }
  /** Where the lift stood under another stage or another rule, if it comes from one. Never that rule's own state. */
  last: LastExposure | null
}

export type LastExposure = { date: string | null; load: Load }

/** What a rule is told after a session in which its lift was trained. */
export type Exposure = {
  /** Null for an exposure still to come, which a plan assumes. */
  date: string | null
  role: string
  /** `hold`: done, but at a load that proves neither a step nor a miss. */
  verdict: 'hit' | 'miss' | 'hold'
  /** The load that the exposure counts for, before rounding; null where the slot was given none. */
  target: Load | null
  /** Reps asked of each set, and those done, set by set as prescribed; nothing done yet in an exposure still to come. */
  asked: Span
  reps: number[]
  /** Reps of the plus set; absent where none was asked, or where it was left blank. */
  plus?: number
}

/** Things of the member's that a rule needs for numbers: their unit, and the nearest load they can make at home. */
export type Hand = { unit: Unit; land(load: Load): Load }

/** What a rule asks: a load, sets beside those that are written, or a goal and sets in place of those. */
export type Asks = { load?: Load; moreSets?: number; sets?: number; goal?: Goal; rungs: Rung[] }

/** Goals that can carry a rule; a slot that has none is an error of its template. */
export type CarriedBy = { expected: string; fits(goal: Goal): boolean; fix: string }

/**
 * A progression rule: it turns what was logged into what comes next. One file a rule, file name = export = the `kind`
 * that templates store. A rule reads no clock, no store and no other slot; its state is small plain JSON and is never
 * rounded to plates, or a step finer than the plates would never move.
 */
export type Rule<P, S> = {
  kind: string
  title: string
  /** What makes its numbers move. */
  clock: 'exposure'
  /** Whether it steps from what was asked or from what was done. */
  from: 'asked' | 'done'
  roles: readonly string[]
  /** Roles that belong to it and move nothing. */
  quiet?: readonly string[]
  writes: readonly ('load' | 'sets' | 'reps')[]
  carriedBy?: CarriedBy
  params: ObjectSchema<P & object>
  sentence(params: P): string
  start(known: Starting, params: P): S | Need
  next(state: S, exposure: Exposure, params: P, hand: Hand): S
  ask(state: S, role: string, params: P): Asks
  messages: Messages
  examples: Example<P>[]
}

/** A worked check: what is asked before each exposure and after the last: loads, sets, or "5 × 5 @ 100" where the rule writes all. */
export type Example<P> = {
  say: string
  params: P
  max: Load | null
  /** A verdict, or the reps of each set with the verdict that they earn. */
  exposures: (Exposure['verdict'] | Pick<Exposure, 'verdict' | 'reps' | 'plus'>)[]
  asked: (number | string)[]
  role?: string
  span?: Span
}

export const defineRule = <P, S>(rule: Rule<P, S>): Rule<P, S> => rule
