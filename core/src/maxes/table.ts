import { snap } from '../units/index.ts'
import { continued, writtenReps } from './handbook.ts'
import { formulaKinds, formulaOf, type FormulaKind } from './registry.ts'

/**
 * How many percent of the 1RM go with how many reps of a first fresh set: the handbook's, or a formula's the other way round. Published
 * tables differ by a few percent, so the one that is used is always named.
 */
export type RepTable = FormulaKind

export const repTables: RepTable[] = ['handbook', ...formulaKinds.filter((kind) => kind !== 'handbook')]

/** Most reps that a table is read for, continued as it is. */
export const mostTableReps = 40

export const repTableTitle = (table: RepTable): string =>
  table === 'handbook' ? formulaOf[table].title : `${formulaOf[table].title}, inverted`

/**
 * Percent of the 1RM for so many reps, 1 to 40, cut to 0.0001. The handbook's for 5 is 87; Epley's is 85.7143. Others throw.
 * Above 15 reps every table is continued in one proportion: the handbook's 65 for 15 becomes 58.5 for 20, 48.75 for 30 and 41.7857 for 40.
 */
export function percentFor(table: RepTable, reps: number): number {
  if (!(reps >= 1 && reps <= mostTableReps)) throw new Error(`invalid reps "${reps}": 1 to ${mostTableReps}`)
  const known = tables.get(table) ?? tableOf(table)
  return Number.isInteger(reps) ? (known[reps] as number) : percentOf(table, reps)
}

/** Percents by reps: a plan asks for hundreds. */
const tables = new Map<RepTable, readonly number[]>()

function tableOf(table: RepTable): readonly number[] {
  const made = Array.from({ length: mostTableReps + 1 }, (_, reps) => (reps ? percentOf(table, reps) : 100))
  tables.set(table, made)
  return made
}

const percentOf = (table: RepTable, reps: number): number =>
  snap(ofTable(table, Math.min(reps, writtenReps)) * continued(reps))

const ofTable = (table: RepTable, reps: number): number =>
  reps === 1 ? 100 : 100 / formulaOf[table].factor(reps)

/**
 * The most reps, 1 to 40, that a percent of the 1RM allows in a first fresh set; 0 above 100%. By the handbook's table 80% allows 8, and 82% too
 * allows no more than 7.
 */
export function repsFor(table: RepTable, percent: number): number {
  let reps = 0
  while (reps < mostTableReps && percentFor(table, reps + 1) >= percent) reps++
  return reps
}
