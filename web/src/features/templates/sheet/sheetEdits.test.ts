import { describe, expect, test } from '@jest/globals'
import { applyCommand, isConflict, readTemplate, type Command, type Template } from '@young-oak/core/template'
import { columnsOf, rangeOf, type At } from './sheet.ts'
import { clearRange, copyRange, fillRange, pasteAt, typeInto } from './sheetEdits.ts'

const { template } = readTemplate({
  format: 1,
  name: 'Edits',
  phases: [{ id: 'p', name: 'First', weeks: 3, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', parts: [{ name: 'Main', slots: ['squat', 'bench'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      follows: [{ progression: 'squat' }],
      rows: { p: [[{ id: 'w', sets: 3, goal: { reps: 5 }, load: { of: 'progression' }, rest: 120 }]] },
    },
    bench: {
      exercise: 'benchPress',
      rows: { p: [[{ id: 'w', sets: 4, goal: { reps: 8 }, load: { of: 'max', percent: 70 }, rir: 2 }]] },
    },
  },
  progressions: {
    squat: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
}) as { template: Template }

const columns = columnsOf(template, 1)
const at = (line: number, field: number): At => ({ column: 0, line, field })
let minted = 0
const mint = () => `minted-${++minted}`
const rows = (command: Command | null, slot = 'bench') => {
  const after = command ? applyCommand(template, command) : template
  return isConflict(after)
    ? after.conflict
    : (after.slots[slot]?.rows.p ?? []).map(([group]) => `${group?.sets}/${JSON.stringify(group?.load)}`)
}
const typed = (where: At, text: string, fill = false) => {
  const made = typeInto(template, columns, where, text, fill, mint)
  return made.fault === undefined ? made.command : null
}

describe('typing', () => {
  test('into a cell changes this week, and with fill the later ones too', () => {
    expect(rows(typed(at(1, 1), '5'))).toEqual([
      '5/{"of":"max","percent":70}',
      '4/{"of":"max","percent":70}',
      '4/{"of":"max","percent":70}',
    ])
    expect(rows(typed(at(1, 1), '5', true))).toEqual(Array(3).fill('5/{"of":"max","percent":70}'))
  })
  test('shorthand into any cell changes the whole line, and says what it understood', () => {
    const made = typeInto(template, columns, at(1, 1), '2x3 @ 85% R1', false, mint)
    expect(made).toMatchObject({ understood: '2 × 3 @ 85% R1' })
    expect(rows(typed(at(1, 3), '2x3 @ 85%'))[0]).toBe('2/{"of":"max","percent":85}')
  })
  test('what a cell does not take and what is no shorthand says what the cell takes', () => {
    expect(typeInto(template, columns, at(1, 1), 'many', false, mint)).toMatchObject({
      fault: expect.stringContaining('Sets: a whole number'),
    })
  })
  test('into the empty line at the end adds a slot there', () => {
    expect(typed(at(2, 0), 'dip 3x8')).toMatchObject({
      do: 'addSlot',
      session: 'a',
      part: 'Main',
      after: 'bench',
    })
  })
})

describe('a range', () => {
  test('is filled into the later weeks, and counts the loads that a rule writes there', () => {
    const changed = applyCommand(template, typed(at(0, 3), '80%') as Command) as Template
    const filled = fillRange(changed, columnsOf(changed, 1), rangeOf(at(0, 1), at(0, 5)))
    expect(filled.byRule).toBe(2)
    expect(filled.command).toMatchObject({ do: 'several', commands: [{ row: 1 }, { row: 2 }] })
  })
  test('is emptied where it may be, and a load is given back to its rule', () => {
    const changed = applyCommand(template, typed(at(0, 3), '80%') as Command) as Template
    expect(clearRange(changed, columnsOf(changed, 1), rangeOf(at(0, 3), null))).toMatchObject({
      field: 'load',
      to: { of: 'progression' },
    })
    expect(clearRange(template, columns, rangeOf(at(1, 1), at(1, 5)))).toMatchObject({
      field: 'rir',
      to: null,
    })
  })
  test('is copied as a spreadsheet takes it, and what was copied can be pasted as lines', () => {
    const text = copyRange(columns, rangeOf(at(0, 0), at(1, 0)))
    expect(text).toBe('Back squat\t3\t5\tby rule\t\t2:00\nBench press\t4\t8\t70%\t2\t')
    const { command, faults } = pasteAt(
      template,
      columns,
      at(2, 0),
      rangeOf(at(2, 0), null),
      text.split('\n').map((line) => line.split('\t')),
      mint,
    )
    expect(faults).toEqual([])
    expect(command).toMatchObject({ do: 'several', commands: [{ do: 'addSlot' }, { do: 'addSlot' }] })
  })
  test('takes one pasted value into all its cells, several from the first on, and says what does not fit', () => {
    const one = pasteAt(template, columns, at(0, 1), rangeOf(at(0, 1), at(1, 1)), [['6']], mint)
    expect(one.command).toMatchObject({
      commands: [
        { slot: 'squat', to: 6 },
        { slot: 'bench', to: 6 },
      ],
    })
    const grid = pasteAt(
      template,
      columns,
      at(0, 1),
      rangeOf(at(0, 1), null),
      [
        ['5', 'x'],
        ['6', '10'],
      ],
      mint,
    )
    expect(grid.lines).toBe(3)
    expect(grid.faults).toMatchObject([{ text: 'x', fault: expect.stringContaining('Reps:') }])
  })
})
