import type { ObjectSchema } from 'yup'

/** What a member is supposed to do with a session: as asked, short of it, more than asked, or nothing at all. */
export type Doing = 'asked' | 'short' | 'more' | 'nothing'

/** A supposition about the weeks to come, for previews. One file an assumption, file name = export = `kind`. */
export type Assumption<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  sentence(params: P): string
  /** What is done in a week, counted from 1 where the preview begins. */
  does(week: number, params: P): Doing
  examples: { say: string; params: P; want: Doing[] }[]
}

export const defineAssumption = <P>(assumption: Assumption<P>): Assumption<P> => assumption
