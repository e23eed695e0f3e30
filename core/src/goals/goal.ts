import type { Amount, AmountUnit, Span } from '../units/index.ts'

/** What was done in a set, as far as a goal may ask. */
export type Done = { reps?: number; amount?: Amount }

/**
 * What each set of a prescription is to reach. One file a goal, file name = export = the key that names it in a template:
 * `{"reps": 5}`, `{"seconds": 45}`; how it is read from a file, and examples of it, stand under the same name in `shapes` and `examples`, which a phone does not load. It prices nothing; it says which reps a load by effort is priced for.
 */
export type GoalKind<G> = {
  key: string
  title: string
  /** How the cell of a week sheet says it, and how it is read back; null where what was typed says something else. */
  cell(goal: G): string
  read(typed: string): G | null
  /** The reps of one set as they tell on its load, or null where they do not. */
  reps(goal: G): Span | null
  /** What is logged of a set: its reps, an amount of a unit, or only that it was done. */
  logs(goal: G): 'reps' | AmountUnit | 'done'
  meets(goal: G, done: Done): boolean
  /** Where the sets of a prescription are judged together, not one by one: what they are to come to, in what is logged. */
  inAll?(goal: G): number
  /** Seconds under way in one of so many sets, at so many seconds a rep; null where nobody can tell. */
  seconds(goal: G, aRep: number, sets: number): number | null
  /** The one amount that it asks: seconds, a distance in its unit, rounds. */
  amount?(goal: G): number
  /** The same goal with another amount: seconds, a distance in its unit, rounds; where it is one amount. */
  withAmount?(goal: G, amount: number): G
  /** How many straight sets one set counts as, where it is not one. */
  countsAs?(goal: G): number
}

export const defineGoal = <G>(goal: GoalKind<G>): GoalKind<G> => goal
