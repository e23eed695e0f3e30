import type { ObjectSchema } from 'yup'
import type { Fields } from '../words/index.ts'
import type { Change } from '../adjustments/index.ts'

/** What a week of a recipe changes. A taper is several: each so many weeks before the test. */
export type DeloadWeek = { toTest?: number; do: Change[] }

/**
 * A way of making a week light: a list of changes, each of which lowers something and raises nothing. One file a recipe, file name =
 * export = `kind`. A template stores the changes, not the recipe.
 */
export type Deload<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  /** What its parameters are called, each with its unit and a hint. */
  fields: Fields
  /** "Load −15%, everything else as written." */
  sentence(params: P): string
  /** What is said for it, and against it: opinions of schools, not rules. */
  saidFor: string
  saidAgainst: string
  weeks(params: P): DeloadWeek[]
  /** What it makes of 4 × 6 at 80% of 100 kg, 2 RIR, as the first of these weeks: sets, load in kg, RIR. */
  examples: { say: string; params: P; want: { sets: number; load: number; rir: number } | 'nothing' }[]
}

export const defineDeload = <P>(recipe: Deload<P>): Deload<P> => recipe
