import type { ObjectSchema } from 'yup'
import type { Load } from '../units/index.ts'

/** How a progression has gone in its present stage, kept by the fold alike for every rule. */
export type Run = {
  exposures: number
  /** Verdicts, newest first, at most as many as signs may look back. */
  recent: ('hit' | 'miss')[]
  /** The heaviest load that was a hit. */
  heaviest: Load | null
}

export const longestRecent = 12

/**
 * A sign that a stage or a phase is over. One file a sign, file name = export = `sign` in the template. It reads how the
 * progression has gone, and nothing else.
 */
export type Sign<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  /** "when 3 of the last 4 exposures are misses". */
  sentence(params: P): string
  shows(run: Run, params: P): boolean
  examples: { say: string; params: P; run: Run; want: boolean }[]
}

export const defineSign = <P>(sign: Sign<P>): Sign<P> => sign
