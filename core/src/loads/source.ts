import type { ObjectSchema } from 'yup'
import type { Messages, Rung } from '../explain/rung.ts'
import type { Lift } from '../library/index.ts'
import type { Load, Unit } from '../units/index.ts'

/** What a source may read; it asks no clock, no store and no other slot. */
export type Known = {
  lift: Lift
  max: MaxInForce | null
  /** Percent of the max that the template's training max is. */
  trainingMax?: number
  /** What the slot's progression asks, where it follows one. */
  progression?: Priced | Need
  unit: Unit
}

/** The max that percents read today, and where it comes from. */
export type MaxInForce = {
  load: Load
  date: string
  how: 'tested' | 'accepted estimate'
  /** The set it was estimated from. */
  from?: { load: Load; reps: number; formula: string }
}

/** A load as a multiple of something: `percent` of `base`. Nothing is rounded yet. */
export type Priced = { base: Load; percent: number; rungs: Rung[] }

/** What is missing before a load can be given; it is asked of the member, never guessed. */
export type Need = { need: 'max'; lift: Lift }

/**
 * What a load is based on. One file a source, file name = export = `of` in the template. `price` returns null where there
 * is no load to give (the member chooses, or nothing is lifted).
 */
export type Source<P> = {
  of: string
  title: string
  /** Whether it gives a load, so that the exercise must be one that loads can be made for. */
  computes: boolean
  params: ObjectSchema<P & object>
  /** How the cell of a week sheet says it, before the member's load: "75%", "free". */
  cell(params: P): string
  price(known: Known, params: P): Priced | Need | null
  messages: Messages
  examples: { say: string; params: P; known: Partial<Known>; want: Load | Need | null }[]
}

export const defineSource = <P>(source: Source<P>): Source<P> => source

export const isNeed = (value: object): value is Need => 'need' in value
