import type { ObjectSchema } from 'yup'
import type { Messages, Rung } from '../explain/rung.ts'
import type { Lift } from '../library/index.ts'
import type { MaxInForce, Need } from '../loads/source.ts'
import type { Load, Unit } from '../units/index.ts'

/** What a rule may know when it starts on a lift. */
export type Starting = { lift: Lift; max: MaxInForce | null; unit: Unit }

/** What a rule is told after a session in which its lift was trained. */
export type Exposure = {
  /** Null for an exposure still to come, which a plan assumes. */
  date: string | null
  role: string
  /** `hold`: done, but at a load that proves neither a step nor a miss. */
  verdict: 'hit' | 'miss' | 'hold'
  /** The load that the exposure counts for, before rounding. */
  target: Load
}

/** Things of the member's that a rule needs for numbers: their unit, and the nearest load they can make at home. */
export type Hand = { unit: Unit; land(load: Load): Load }

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
  writes: readonly ('load' | 'reps' | 'sets' | 'rest')[]
  params: ObjectSchema<P & object>
  sentence(params: P): string
  start(known: Starting, params: P): S | Need
  next(state: S, exposure: Exposure, params: P, hand: Hand): S
  ask(state: S, role: string, params: P): { load: Load; rungs: Rung[] }
  messages: Messages
  examples: Example<P>[]
}

/** A worked check: the loads asked before each session and after the last, for a row of verdicts. */
export type Example<P> = {
  say: string
  params: P
  max: Load | null
  verdicts: Exposure['verdict'][]
  asked: number[]
}

export const defineRule = <P, S>(rule: Rule<P, S>): Rule<P, S> => rule
