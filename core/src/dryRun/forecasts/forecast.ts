import type { Doing } from '../../plan/index.ts'
import type { ObjectSchema } from 'yup'

/** What the weeks to come are supposed to bring, for previews. One file a forecast, file name = export = `kind`. */
export type Forecast<P> = {
  kind: string
  title: string
  params: ObjectSchema<P & object>
  sentence(params: P): string
  /** What is done in a week, counted from 1 where the preview begins. */
  does(week: number, params: P): Doing
  examples: { say: string; params: P; want: Doing[] }[]
}

export const defineForecast = <P>(forecast: Forecast<P>): Forecast<P> => forecast
