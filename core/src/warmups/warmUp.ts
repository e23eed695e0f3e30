import type { ObjectSchema } from 'yup'

/** A set before the work, as a rule states it: percent of the first work set, and reps. */
export type WarmUpStep = { percent: number; reps: number }

/**
 * How a lift is ramped up to its first work set. One file a rule, file name = export = `kind` in the template. It states
 * percents of the work set; they are rounded, and the silly ones left out, in one place for all rules.
 */
export type WarmUpKind<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  /** "Two lighter sets before the first work set." */
  sentence(params: P): string
  /** Lightest first; below the least that can be made it is the empty bar. */
  steps(params: P): WarmUpStep[]
  /** For a work set of `work` kg on a 20 kg bar with 1.25 kg plates: loads and reps as asked. */
  examples: { say: string; params: P; work: number; want: [load: number, reps: number][] }[]
}

export const defineWarmUp = <P>(warmUp: WarmUpKind<P>): WarmUpKind<P> => warmUp
