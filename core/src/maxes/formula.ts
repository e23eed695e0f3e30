/**
 * An estimate of the one-rep max from a set of several reps. The folder is the type: one file a formula, file name =
 * export = the `kind` that stored facts carry.
 */
export type Formula = {
  kind: string
  title: string
  /** Who published it, where. */
  source: string
  /** The sets that it was made for, and how it errs, in the words of those who compared them. */
  domain: string
  /** 1RM as a multiple of the load lifted, for `reps` from 2 to 20. */
  factor(reps: number): number
  examples: { say: string; load: number; reps: number; want: number }[]
}

export const defineFormula = (formula: Formula): Formula => formula
