import { expect, test } from '@jest/globals'
import Papa from 'papaparse'
import type { MaxTableLine } from '@young-oak/api/maxes'
import { maxSheet } from '@young-oak/core/parsing'
import { sheetOf } from './saveSheet.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const known = (value: number, change: object = {}): MaxTableLine['known'][number] => ({
  exercise: 'backSquat',
  load: { value, unit: 'kg' },
  reps: 1,
  formula: 'epley',
  date: '2026-03-02',
  ...change,
})
const member = (id: string, name: string, ...rows: MaxTableLine['known']) => ({
  id,
  name,
  maxes: [],
  known: rows,
})

/** What the sheet of a table says, read again by somebody who knows nothing of its maxes. */
function readAgain(table: MaxTableLine[]) {
  const members = table.map((one) => ({ ...one, known: [] }))
  const { read, reading } = maxSheet({ library, members, today: '2026-03-10' })
  for (const cells of Papa.parse<string[]>(sheetOf(library, table)).data) read(cells)
  return reading
}

test('a sheet that was saved says the same when it is brought in again', () => {
  const table = [
    member('a', 'Ada', known(100), known(82.5, { reps: 5, rir: 2, formula: 'brzycki' })),
    member(
      'b',
      'Bo, the second',
      known(15, { exercise: 'pullUp', help: true }),
      known(60, { variant: 'to a box' }),
    ),
  ]
  const { rows, faults } = readAgain(table)
  expect(faults).toBe(0)
  expect(rows.map(({ line: _, ...row }) => row)).toEqual(
    table.flatMap(({ id, known: own }) => own.map((max) => ({ member: id, ...max }))),
  )
})
test('two of one name are told apart by their ids', () => {
  const twins = [member('a', 'Ada', known(100)), member('b', 'Ada', known(90))]
  expect(readAgain(twins).rows.map(({ member: id }) => id)).toEqual(['a', 'b'])
})
test('a name that a spreadsheet would take for a formula is made harmless', () => {
  expect(sheetOf(library, [member('a', '=1+1', known(100))])).toContain("'=1+1")
})
