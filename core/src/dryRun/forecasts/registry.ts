import type { Doing } from '../../plan/index.ts'
import type { Forecast } from './forecast.ts'
import * as forecasts from './kinds.ts'

export type ForecastKind = keyof typeof forecasts
type ParamsOf<K extends ForecastKind> = (typeof forecasts)[K] extends Forecast<infer P> ? P : never

/** What is supposed: `{"kind": "misses", "week": 4}`. */
export type Supposed = { [K in ForecastKind]: { kind: K } & ParamsOf<K> }[ForecastKind]

export const forecastOf = forecasts as unknown as Record<ForecastKind, Forecast<object>>
/** In the order in which they are shown: a module's own names come in alphabetical order. */
export const forecastKinds = ['toPlan', 'misses', 'away', 'better'] as const satisfies ForecastKind[]

/** What is done in a week to come, counted from 1, under a forecast: what a plan is told. */
export const doingUnder =
  (supposed: Supposed) =>
  (week: number): Doing =>
    forecastOf[supposed.kind].does(week, supposed)
