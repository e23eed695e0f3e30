import type { ObjectSchema } from 'yup'
import type { Messages, Rung } from '../explain/rung.ts'

/** A group of sets on its way to the bar: changes act on it after the rule, before rounding. */
export type Draft = {
  sets: number
  /** Percent of the base, null where there is no load. */
  percent: number | null
  /** Factor on the load in percent, 100 unless changed. */
  scale: number
  rungs: Rung[]
}

/**
 * One way of changing what is asked. One file a change, file name = export = `kind`. Light weeks, tracks and members' own
 * changes are lists of them; none enters a progression's state.
 */
export type ChangeKind<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  /** True when it lowers something and raises nothing: what a light week may hold. */
  lightens(params: P): boolean
  /** "load −10%". */
  sentence(params: P): string
  apply(draft: Draft, params: P): Draft
  messages: Messages
  examples: { say: string; params: P; from: Omit<Draft, 'rungs'>; want: Omit<Draft, 'rungs'> }[]
}

export const defineChange = <P>(change: ChangeKind<P>): ChangeKind<P> => change

/** "−10", "+5": with a true minus sign. */
export const signed = (value: number): string => (value < 0 ? `−${-value}` : `+${value}`)
