import type { ObjectSchema } from 'yup'
import type { Fields } from '../words/index.ts'
import type { Load } from '../units/index.ts'

/** How a progression has gone in its present stage, kept by the fold alike for every rule. */
export type Run = {
  exposures: number
  /** What was heard, newest first, at most as many as signs may look back. */
  recent: Heard[]
  /** The heaviest load that was a hit, and how many exposures ago it rose to that. */
  heaviest: Load | null
  sinceBest: number
  /** The plan's weeks of its first exposure and of its last one. */
  first: number | null
  last: number | null
}

/**
 * An exposure as signs see it: how it went, the technique where it was marked, whether a stop sign ended its sets early, and whether a hit had
 * nothing to spare in its last set.
 */
export type Heard = { verdict: 'hit' | 'miss'; technique?: 'good' | 'poor'; ended?: true; barely?: true }

export const freshRun: Run = {
  exposures: 0,
  recent: [],
  heaviest: null,
  sinceBest: 0,
  first: null,
  last: null,
}

export const longestRecent = 12

/**
 * A sign that a stage or a phase is over. One file a sign, file name = export = `sign` in the template. It reads how the
 * progression has gone, and nothing else.
 */
export type Trigger<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  /** What its parameters are called, each with its unit and a hint. */
  fields: Fields
  /** "when 3 of the last 4 exposures are misses". */
  sentence(params: P): string
  fires(run: Run, params: P): boolean
  /** Whether time alone has fired it, by a week of the plan: nothing has to be trained for that. */
  isDue?(run: Run, params: P, week: number): boolean
  examples: { say: string; params: P; run: Run; want: boolean }[]
}

export const defineTrigger = <P>(sign: Trigger<P>): Trigger<P> => sign
