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

/** Reps that the tables are written for; above, they are continued. */
export const writtenReps = handbook.length

/** Most reps that a table is read for, continued as it is. */
export const mostTableReps = 40

export const repTableTitle = (table: RepTable): string =>
  table === 'handbook' ? 'Handbook table' : `${formulaOf[table].title}, inverted`

/**
 * Percent of the 1RM for so many reps, 1 to 40, cut to 0.0001. The handbook's for 5 is 87; Epley's is 85.7143. Others throw.
 * From 15 reps on every table goes on from its own percent for 15 as Epley's formula does (1985; inverted, 100 ÷ (1 + reps ÷ 30)): 45 ÷ (30 + reps)
 * of that percent. So the handbook's 65 for 15 becomes 58.5 for 20, 48.75 for 30 and 41.7857 for 40. No published table goes so far.
 */
export function percentFor(table: RepTable, reps: number): number {
  if (!(reps >= 1 && reps <= mostTableReps)) throw new Error(`invalid reps "${reps}": 1 to ${mostTableReps}`)
  const continued = reps > writtenReps ? (30 + writtenReps) / (30 + reps) : 1
  return snap(ofTable(table, Math.min(reps, writtenReps)) * continued)
}

function ofTable(table: RepTable, reps: number): number {
  if (table === 'handbook') return handbook[reps - 1] as number
  return reps === 1 ? 100 : 100 / formulaOf[table].factor(reps)
}
