import { linearRegression } from 'simple-statistics'
import { daysBetween, snap, type Day } from '../units/index.ts'
import { evidenceOf, type Seen } from './estimates.ts'

/** A straight line through what was seen, by least squares: what a week brings, and how far single days lie beside it. */
export type Trend = {
  /** Gain a week, in the unit of what was seen, and its standard error. */
  perWeek: number
  error: number
  count: number
  /** What the line says of a day, with the band that 8 of 10 such days would fall into. */
  on(day: Day): { value: number; low: number; high: number }
}

/** Fewer days, or days closer together, are no trend. */
const leastCount = 4
const leastDays = 14

/** Null where there is too little to go by. */
export function trendOf(all: Seen[]): Trend | null {
  const seen = evidenceOf(all)
  const [first, last] = [seen[0], seen.at(-1)]
  if (!first || !last || seen.length < leastCount || daysBetween(first.date, last.date) < leastDays)
    return null
  const weekOf = (day: Day) => daysBetween(first.date, day) / 7
  const points = seen.map(({ date, value }) => [weekOf(date), value])
  const { m, b } = linearRegression(points)
  const count = points.length
  const middle = points.reduce((sum, [x = 0]) => sum + x, 0) / count
  const spread = points.reduce((sum, [x = 0]) => sum + (x - middle) ** 2, 0)
  const residual = points.reduce((sum, [x = 0, y = 0]) => sum + (y - (m * x + b)) ** 2, 0)
  const scatter = Math.sqrt(residual / (count - 2))
  return {
    perWeek: snap(m),
    error: snap(scatter / Math.sqrt(spread)),
    count,
    on(day) {
      const x = weekOf(day)
      const value = m * x + b
      const beside = eightInTen(count - 2) * scatter * Math.sqrt(1 + 1 / count + (x - middle) ** 2 / spread)
      return { value: snap(value), low: snap(value - beside), high: snap(value + beside) }
    },
  }
}

/**
 * Student's t for eight in ten, two-sided, by degrees of freedom (NIST/SEMATECH e-Handbook of Statistical Methods, table 1.3.6.7.2,
 * column 0.90). `eightInTen(5)` is 1.476.
 */
export function eightInTen(freedom: number): number {
  const known = table.findLast(([from]) => freedom >= from) ?? table[0]
  return known?.[1] ?? 3.078
}

const table: [number, number][] = [
  [1, 3.078],
  [2, 1.886],
  [3, 1.638],
  [4, 1.533],
  [5, 1.476],
  [6, 1.44],
  [7, 1.415],
  [8, 1.397],
  [9, 1.383],
  [10, 1.372],
  [12, 1.356],
  [15, 1.341],
  [20, 1.325],
  [30, 1.31],
  [60, 1.296],
]
