import { snap } from '../units/index.ts'
import { formulaKinds, formulaOf, type FormulaKind } from './registry.ts'

/**
 * How many percent of the 1RM go with how many reps of a first fresh set. Published tables differ by a few percent, so the
 * one that is used is always named.
 */
export type RepTable = 'handbook' | FormulaKind

/**
 * Haff GG, Triplett NT (eds.), Essentials of strength training and conditioning, 4th ed., Human Kinetics, 2016: percent of the
 * 1RM and repetitions allowed, for 1 to 12 and 15 reps; 13 and 14 are read between. (Quoted from memory.)
 */
const handbook = [100, 95, 93, 90, 87, 85, 83, 80, 77, 75, 70, 67, 66.3, 65.7, 65]

export const repTables: RepTable[] = ['handbook', ...formulaKinds]

/** Most reps that any of the tables is read for. */
export const mostTableReps = handbook.length

export const repTableTitle = (table: RepTable): string =>
  table === 'handbook' ? 'Handbook table' : `${formulaOf[table].title}, inverted`

/** Percent of the 1RM for so many reps, 1 to 15, cut to 0.0001. The handbook's for 5 is 87; Epley's is 85.7143. Others throw. */
export function percentFor(table: RepTable, reps: number): number {
  const written = handbook[reps - 1]
  if (written === undefined) throw new Error(`invalid reps "${reps}": 1 to ${mostTableReps}`)
  if (table === 'handbook') return written
  return reps === 1 ? 100 : snap(100 / formulaOf[table].factor(reps))
}
