import { describe, expect, test } from '@jest/globals'
import { readTemplate, type Template } from '@young-oak/core/template'
import {
  columnsOf,
  fieldAt,
  moved,
  rangeOf,
  sheetFields,
  slotsIn,
  type Column,
  type SetsLine,
} from './sheet.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const loadField = sheetFields.indexOf('member')
const setsOf = (column: Column | undefined) =>
  (column?.lines ?? []).filter((line): line is SetsLine => line.kind === 'sets')

const prescribed = (id: string) => ({ id, sets: 3, goal: { reps: 5 }, load: { of: 'free' } })
const { template } = readTemplate({
  format: 2,
  name: 'Sheet',
  phases: [
    { id: 'p', name: 'First', weeks: 2, rotation: ['a', 'b'], perWeek: 3 },
    { id: 'q', name: 'Second', weeks: 1, rotation: ['a', 'b'], perWeek: 2 },
  ],
  sessions: {
    a: { name: 'A', sections: [{ name: 'Main', slots: ['squat', 'row'] }] },
    b: {
      name: 'B',
      sections: [
        { name: 'Main', slots: ['press'] },
        { name: 'After', slots: ['plank'] },
      ],
    },
  },
  slots: {
    squat: {
      exercise: 'backSquat',
      rows: { p: [[prescribed('top'), prescribed('back')]], q: [[prescribed('top')]] },
    },
    row: { exercise: 'barbellRow', superset: 'x', rows: { p: [[prescribed('w')]], q: [[prescribed('w')]] } },
    press: { exercise: 'overheadPress', by: 'day', rows: { p: [[prescribed('w')]], q: [[prescribed('w')]] } },
    plank: { exercise: 'plank', rows: { p: [[prescribed('w')], [prescribed('w')]], q: [[prescribed('w')]] } },
  },
}) as { template: Template }

describe('the columns of a week', () => {
  test('are its places in the order of the rotation, which is not the week', () => {
    const names = (week: number) => columnsOf(library, template, week).map(({ name }) => name)
    expect([names(1), names(2), names(3)]).toEqual([
      ['A', 'B', 'A'],
      ['B', 'A', 'B'],
      ['A', 'B'],
    ])
  })
  test('hold a line for each prescription of each slot, of the row that is read in that week', () => {
    const [a, b] = columnsOf(library, template, 2)
    expect(setsOf(b).map(({ slotId, prescribed: { id }, isFirst }) => [slotId, id, isFirst])).toEqual([
      ['squat', 'top', true],
      ['squat', 'back', false],
      ['row', 'w', true],
    ])
    expect(setsOf(a).map(({ slotId, row, rows }) => [slotId, row, rows])).toEqual([
      ['press', 0, 1],
      ['plank', 1, 2],
    ])
    expect(a?.sections.map(({ name, lines }) => [name, lines.length])).toEqual([
      // The empty line at the end of each section is where a new slot is typed.
      ['Main', 2],
      ['After', 2],
    ])
  })
})

describe('the keyboard', () => {
  const columns = columnsOf(library, template, 1)
  const from = (column: number, line: number, field: number) => ({ column, line, field })
  // Column 0 (A): squat top, squat back, row, new. Column 1 (B): press, new, plank, new.
  test.each([
    ['right within the line', from(0, 0, 1), 'ArrowRight', from(0, 0, 2)],
    ['right to the member’s load', from(0, 0, loadField - 1), 'ArrowRight', from(0, 0, loadField)],
    ['right into the next column, on the same line', from(0, 0, loadField), 'ArrowRight', from(1, 0, 0)],
    ['right from an empty line', from(0, 3, 0), 'ArrowRight', from(1, 3, 0)],
    ['left into the column before', from(1, 0, 0), 'ArrowLeft', from(0, 0, loadField)],
    ['left from further sets to the exercise of their slot', from(0, 1, 1), 'ArrowLeft', from(0, 0, 0)],
    ['down', from(0, 0, 2), 'ArrowDown', from(0, 1, 2)],
    ['down among exercises, past further sets', from(0, 0, 0), 'ArrowDown', from(0, 2, 0)],
    ['up among exercises', from(0, 2, 0), 'ArrowUp', from(0, 0, 0)],
    ['down no further than the last line', from(1, 3, 2), 'ArrowDown', from(1, 3, 2)],
    ['up no further than the first', from(0, 0, 2), 'ArrowUp', from(0, 0, 2)],
    ['to the end of the line', from(0, 0, 0), 'End', from(0, 0, loadField)],
    ['to its beginning', from(0, 0, 4), 'Home', from(0, 0, 0)],
    ['not beyond the last column', from(2, 0, loadField), 'ArrowRight', from(2, 0, loadField)],
  ])('goes %s', (_, at, key, want) => expect(moved(columns, at, key)).toEqual(want))
  test('knows which field it is on, and that an empty line has only one', () => {
    expect([
      fieldAt(columns, from(0, 0, 3)),
      fieldAt(columns, from(0, 0, loadField)),
      fieldAt(columns, from(0, 3, 4)),
    ]).toEqual(['load', 'member', 'exercise'])
  })
  test('marks a range within a column, and knows its slots once each', () => {
    const range = rangeOf(from(0, 2, 1), from(0, 0, 3))
    expect(range).toEqual({ column: 0, lines: [0, 2], fields: [1, 3] })
    expect(slotsIn(columns, range)).toEqual(['squat', 'row'])
    expect(rangeOf(from(1, 0, 0), from(0, 2, 0)).lines).toEqual([0, 0])
  })
})
