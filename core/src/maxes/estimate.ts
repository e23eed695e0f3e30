import { snap, type Load } from '../units/index.ts'
import { formulaKinds, formulaOf, type FormulaKind } from './registry.ts'

/** Most reps that an estimate is made from without a warning: from here on the formulas part by more than an eighth. */
export const mostReps = 12

/** Most reps that an estimate is made from at all. */
export const mostRepsWarned = 20

/** Reps in reserve (RIR) above this are not trusted, and the set gives no estimate. */
export const mostRir = 4

/**
 * The estimated one-rep max of a set, in the load's unit, cut to 0.0001; null where no estimate may be made.
 * A single is the max itself, by no formula. Reps in reserve (RIR) count as reps (5 reps @ 2 RIR count as 7).
 * 100 kg × 5 by Epley is 116.6667 kg.
 */
export function estimate(load: Load, reps: number, kind: FormulaKind, rir = 0): Load | null {
  const counted = reps + rir
  if (!(reps >= 1) || rir > mostRir || counted > mostRepsWarned) return null
  if (counted === 1) return load
  return { value: snap(load.value * formulaOf[kind].factor(counted)), unit: load.unit }
}

/** Whether a set has too many reps for its estimate to be taken without a warning. */
export const isDoubtful = (reps: number, rir = 0): boolean => reps + rir > mostReps

/** What every formula and the table make of a set, lowest first, and how far the formulas part, in percent of their lowest; null where none may. */
export function spread(
  load: Load,
  reps: number,
  rir = 0,
): { estimates: { kind: FormulaKind; load: Load }[]; percent: number } | null {
  const estimates = formulaKinds
    .flatMap((kind) => {
      const made = estimate(load, reps, kind, rir)
      return made ? [{ kind, load: made }] : []
    })
    .sort((a, b) => a.load.value - b.load.value)
  const formulas = estimates.filter(({ kind }) => kind !== 'handbook')
  const [lowest, highest] = [formulas[0], formulas[formulas.length - 1]]
  if (!lowest || !highest) return null
  return { estimates, percent: snap((highest.load.value / lowest.load.value - 1) * 100) }
}
