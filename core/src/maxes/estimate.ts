import { snap, type Load } from '../units/index.ts'
import { formulaOf, type FormulaKind } from './registry.ts'

/** Most reps that an estimate is made from without a warning; the formulas part by about 8% here and 13% at 12. */
export const mostReps = 10

/** Reps left in reserve above this are not trusted, and the set gives no estimate. */
export const mostInReserve = 4

/**
 * The estimated one-rep max of a set, in the load's unit, cut to 0.0001; null where no estimate may be made.
 * A single is the max itself, by no formula. Reps left in reserve count as reps (5 reps with 2 left count as 7).
 * 100 kg × 5 by Epley is 116.6667 kg.
 */
export function estimate(load: Load, reps: number, kind: FormulaKind, inReserve = 0): Load | null {
  const counted = reps + inReserve
  if (!(reps >= 1) || inReserve > mostInReserve || counted > mostReps) return null
  if (counted === 1) return load
  return { value: snap(load.value * formulaOf[kind].factor(counted)), unit: load.unit }
}
