import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { exerciseIds } from '../library/index.ts'
import { formulaKinds } from '../maxes/index.ts'
import { addDays } from '../units/index.ts'
import {
  maxCells,
  maxHeader,
  maxSheet,
  mostRowIssues,
  type MaxReading,
  type SheetContext,
} from './maxRows.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const today = '2026-03-10'
const mel = { id: 'm1', name: 'Mel Rowe', known: [] }
const context = (members: SheetContext['members'] = [mel]): SheetContext => ({ library, members, today })
const head = ['Member', 'Lift', 'Load', 'Unit', 'Reps', 'Reserve', 'Date']
const read = (lines: string[][], given = context(), header = head): MaxReading => {
  const { read: readLine, reading } = maxSheet(given)
  for (const line of [header, ...lines]) readLine(line)
  return reading
}
const one = (...cells: string[]) => read([cells])
const fault = (...cells: string[]) => one(...cells).issues[0]

describe('a sheet of maxes', () => {
  test('reads a line with everything, and fills in what is usual', () => {
    expect(one('mel rowe', 'Back squat', '120', 'kg', '3', '1', '2026-03-02').rows).toEqual([
      {
        line: 2,
        member: 'm1',
        exercise: 'backSquat',
        load: { value: 120, unit: 'kg' },
        reps: 3,
        rir: 1,
        formula: 'epley',
        date: '2026-03-02',
      },
    ])
    expect(one('m1', 'benchPress', '180 lb').rows).toMatchObject([
      { load: { value: 180, unit: 'lb' }, reps: 1, date: today },
    ])
  })
  test.each([
    ['a decimal comma', '82,5 kg', { value: 82.5, unit: 'kg' }],
    ['a decimal point', '82.5kg', { value: 82.5, unit: 'kg' }],
  ])('takes %s', (_, load, want) => expect(one('m1', 'deadlift', load).rows[0]?.load).toEqual(want))
  test('reads less than nothing beside body weight as help', () => {
    expect(one('m1', 'Pull-up', '-15', 'kg').rows[0]).toMatchObject({
      load: { value: 15, unit: 'kg' },
      help: true,
    })
    expect(one('m1', 'Pull-up', '0', 'kg').rows).toHaveLength(1)
    expect(fault('m1', 'Deadlift', '-15', 'kg')).toMatchObject({ column: 'load', expected: 'a load above 0' })
  })
  test.each([
    ['nobody of that name', ['Ida', 'Deadlift', '100', 'kg'], 'member', 'one of your members, by name or id'],
    [
      'a lift that is none',
      ['m1', 'Deadlifting', '100', 'kg'],
      'lift',
      'a lift of the library, by name or id',
    ],
    ['no unit', ['m1', 'Deadlift', '100'], 'unit', 'kg or lb: pounds are not read as kilos'],
    ['two units', ['m1', 'Deadlift', '100 kg', 'lb'], 'unit', 'the unit beside the load, kg'],
    ['a thousands comma', ['m1', 'Deadlift', '1,000.5', 'lb'], 'load', 'a number like 82.5 or 82,5'],
    ['900 kg', ['m1', 'Deadlift', '900', 'kg'], 'load', 'at most 500 kg'],
    ['0 reps', ['m1', 'Deadlift', '100', 'kg', '0'], 'reps', 'whole reps, 1 to 20'],
    ['40 reps', ['m1', 'Deadlift', '100', 'kg', '40'], 'reps', 'whole reps, 1 to 20'],
    ['six left', ['m1', 'Deadlift', '100', 'kg', '5', '6'], 'reserve', 'RIR, a whole number from 0 to 4'],
    [
      'tomorrow',
      ['m1', 'Deadlift', '100', 'kg', '1', '', '2026-03-11'],
      'date',
      'a day that is not after today',
    ],
    [
      'a day with slashes',
      ['m1', 'Deadlift', '100', 'kg', '1', '', '02/03/2026'],
      'date',
      'a day like 2026-03-02',
    ],
    ['a formula', ['m1', 'Deadlift', '=A1*2', 'kg'], 'load', 'a value, not a formula of the sheet'],
  ])('locates %s', (_, cells, column, expected) => {
    expect(fault(...cells)).toMatchObject({ line: 2, column, expected })
  })
  test('names the lift that may have been meant, and asks which of two of one name', () => {
    expect(fault('m1', 'Squat back squat', '100', 'kg')?.fix).toBe('Did you mean Back squat?')
    const two = context([mel, { ...mel, id: 'm2' }])
    expect(read([['Mel Rowe', 'Deadlift', '100', 'kg']], two).issues[0]?.fix).toMatch(/write the id/)
  })
  test('leaves out what an earlier line says, and what is known', () => {
    const line = ['m1', 'Deadlift', '100', 'kg', '1', '', '2026-03-02']
    const known = [
      {
        exercise: 'deadlift' as const,
        load: { value: 100, unit: 'kg' as const },
        reps: 1,
        date: '2026-03-02',
      },
    ]
    expect(read([line, line])).toMatchObject({ doubled: 1, rows: [{ line: 2 }] })
    expect(read([line], context([{ ...mel, known }]))).toMatchObject({ known: 1, rows: [] })
  })
  test('says which columns are missing, once', () => {
    const reading = read([['x', 'y']], context(), ['what', 'ever'])
    expect(reading.issues.filter(({ line }) => line === 1).map(({ column }) => column)).toEqual([
      'member',
      'lift',
      'load',
    ])
  })
  test('goes on after a hundred faults, counting only', () => {
    const bad = Array.from({ length: 250 }, () => ['m1', 'Deadlift', 'heavy', 'kg'])
    const reading = read([...bad, ['m1', 'Deadlift', '100', 'kg']])
    expect([reading.issues.length, reading.faults, reading.rows.length]).toEqual([mostRowIssues, 250, 1])
  })
  test('counts sets from which nothing should be estimated', () => {
    expect(one('m1', 'Deadlift', '100', 'kg', '15').doubtful).toBe(1)
  })
})

test('what is written is read back as it was', () => {
  const row = fc.record({
    exercise: fc.constantFrom(...exerciseIds.filter((id) => id !== 'plank')),
    load: fc.record({
      value: fc.integer({ min: 1, max: 400 }).map((n) => n / 2),
      unit: fc.constantFrom('kg' as const, 'lb' as const),
    }),
    reps: fc.integer({ min: 1, max: 20 }),
    formula: fc.constantFrom(...formulaKinds),
    date: fc.nat(300).map((days) => addDays(today, -days)),
  })
  fc.assert(
    fc.property(row, (max) => {
      const { rows, issues } = read([maxCells(library, 'Mel Rowe', max)], context(), maxHeader)
      expect(issues).toEqual([])
      expect(rows).toEqual([{ line: 2, member: 'm1', ...max }])
    }),
  )
})
