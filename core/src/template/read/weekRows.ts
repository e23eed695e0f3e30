import { rirIn } from '../rirRamp.ts'
import type { Phase, RirRamp, SetPrescription } from '../types.ts'

/** A row as a file has it: where it stands for all weeks, RIR may fall by a ramp. */
export type RowWritten = (Omit<SetPrescription, 'rir'> & { rir?: number | RirRamp })[]

/** What a row of a week was written as, where that is a row for all weeks with a ramp in it. */
const writtenAs = new WeakMap<object, RowWritten>()

/** The rows of so many weeks of which one is written: the same for all, unless RIR falls in it. */
export function rowsOfWeeks(row: RowWritten, phase: Phase, weeks: number): SetPrescription[][] {
  const falls = row.some(({ rir }) => typeof rir === 'object')
  return Array.from({ length: weeks }, (_, i) => {
    if (!falls) return row as SetPrescription[]
    const made = row.map((one): SetPrescription => {
      const { rir, ...rest } = one
      return rir === undefined
        ? rest
        : { ...rest, rir: typeof rir === 'object' ? rirIn(rir, phase, i + 1) : rir }
    })
    writtenAs.set(made, row)
    return made
  })
}

/** Of rows that are written once for several weeks the first alone, each with its number in the list. */
export function writtenOnce(list: SetPrescription[][]): { row: SetPrescription[]; at: number }[] {
  const seen = new Set<object>()
  return list.flatMap((row, at) => {
    const source = writtenAs.get(row) ?? row
    if (seen.has(source)) return []
    seen.add(source)
    return [{ row, at }]
  })
}
