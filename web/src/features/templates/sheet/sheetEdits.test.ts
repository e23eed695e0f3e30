import { describe, expect, test } from '@jest/globals'
import {
  applyCommand,
  invert,
  isConflict,
  readTemplate,
  type Command,
  type Template,
} from '@young-oak/core/template'
import { columnsOf, rangeOf, type At } from './sheet.ts'
import { clearRange, copyRange, fillRange, overRules, pasteAt, typeInto } from './sheetEdits.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const { template } = readTemplate({
  format: 2,
  name: 'Edits',
  phases: [{ id: 'p', name: 'First', weeks: 3, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat', 'bench'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      uses: [{ progression: 'squat' }],
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

const columns = columnsOf(library, template, 1)
const at = (line: number, field: number): At => ({ column: 0, line, field })
let minted = 0
const mint = () => `minted-${++minted}`
const rows = (command: Command | null, slot = 'bench') => {
  const after = command ? applyCommand(template, command) : template
  return isConflict(after)
    ? after.conflict(library)
    : (after.slots[slot]?.rows.p ?? []).map(
        ([prescribed]) => `${prescribed?.sets}/${JSON.stringify(prescribed?.load)}`,
      )
}
const typed = (where: At, text: string, fill = false) => {
  const made = typeInto(library, template, columns, where, text, fill, mint)
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
    const made = typeInto(library, template, columns, at(1, 1), '2x3 @ 85% R1', false, mint)
    expect(made).toMatchObject({ understood: '2 × 3 @ 85% R1' })
    expect(rows(typed(at(1, 3), '2x3 @ 85%'))[0]).toBe('2/{"of":"max","percent":85}')
  })
  test('what a cell does not take and what is no shorthand says what the cell takes', () => {
    expect(typeInto(library, template, columns, at(1, 1), 'many', false, mint)).toMatchObject({
      fault: expect.stringContaining('Sets: a whole number'),
    })
  })
  test('a range of sets says how many are enough, one number takes that away, and it is copied with its line', () => {
    const after = (draft: Template, text: string): Template => {
      const own = columnsOf(library, draft, 1)
      const made = typeInto(library, draft, own, at(1, 1), text, false, mint)
      const applied = made.fault === undefined && made.command ? applyCommand(draft, made.command) : null
      if (!applied || isConflict(applied)) throw new Error(JSON.stringify(made))
      return applied
    }
    const asked = (draft: Template) => {
      const { sets, least } = draft.slots.bench?.rows.p?.[0]?.[0] ?? {}
      return [least, sets]
    }
    const ranged = after(template, '3-5')
    expect(asked(ranged)).toEqual([3, 5])
    const own = columnsOf(library, ranged, 1)
    expect(copyRange(library, own, rangeOf(at(1, 1), null))).toBe('3-5')
    const lower = after(ranged, '1-2')
    expect(asked(lower)).toEqual([1, 2])
    expect(asked(after(lower, '4'))).toEqual([undefined, 4])
    expect(typeInto(library, ranged, own, at(1, 1), '5-3', false, mint)).toMatchObject({
      fault: expect.stringContaining('a range like 3-5'),
    })
  })
  test('into the empty line at the end adds a slot there', () => {
    expect(typed(at(2, 0), 'dip 3x8')).toMatchObject({
      do: 'addSlot',
      session: 'a',
      section: 'Main',
      after: 'bench',
    })
  })
})

describe('a range', () => {
  test('is filled into the later weeks, and counts the loads that a rule writes there', () => {
    const changed = applyCommand(template, typed(at(0, 3), '80%') as Command) as Template
    const filled = fillRange(changed, columnsOf(library, changed, 1), rangeOf(at(0, 1), at(0, 5)))
    expect(filled.byRule).toBe(2)
    expect(filled.command).toMatchObject({ do: 'several', commands: [{ row: 1 }, { row: 2 }] })
  })
  test('is emptied where it may be, and a load is given back to its rule', () => {
    const changed = applyCommand(template, typed(at(0, 3), '80%') as Command) as Template
    expect(
      clearRange(library, changed, columnsOf(library, changed, 1), rangeOf(at(0, 3), null)),
    ).toMatchObject({
      field: 'load',
      to: { of: 'progression' },
    })
    expect(clearRange(library, template, columns, rangeOf(at(1, 1), at(1, 5)))).toMatchObject({
      field: 'rir',
      to: null,
    })
  })
  test('is copied as a spreadsheet takes it, and what was copied can be pasted as lines', () => {
    const text = copyRange(library, columns, rangeOf(at(0, 0), at(1, 0)))
    expect(text).toBe('Back squat\t3\t5\tprogression\t\t2:00\nBench press\t4\t8\t70%\t2\t')
    const { command, faults } = pasteAt(
      library,
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
    const one = pasteAt(library, template, columns, at(0, 1), rangeOf(at(0, 1), at(1, 1)), [['6']], mint)
    expect(one.command).toMatchObject({
      commands: [
        { slot: 'squat', to: 6 },
        { slot: 'bench', to: 6 },
      ],
    })
    const grid = pasteAt(
      library,
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

describe('what a rule writes', () => {
  const ladder = {
    id: 'one',
    rule: 'schemeLadder' as const,
    params: {
      startLoad: { kg: 60, lb: 135 },
      schemes: [
        { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 } },
        { sets: 4, reps: 4, step: { kg: 5, lb: 10 } },
      ],
      misses: 1,
      backBy: 10,
    },
  }
  const ruled = { ...template, progressions: { squat: { stages: [ladder] } } } as Template
  const week = (n: number, draft = ruled) => columnsOf(library, draft, n)
  const lineOf = (draft: Template, n: number) => {
    const line = week(n, draft)[0]?.lines[0]
    return line?.kind === 'sets' ? line : undefined
  }
  const put = (draft: Template, command: Command | null): Template =>
    command ? (applyCommand(draft, command) as Template) : draft
  const type = (draft: Template, n: number, field: number, text: string, fill = false) => {
    const made = typeInto(library, draft, week(n, draft), at(0, field), text, fill, mint)
    return made.fault === undefined ? made.command : null
  }

  test('is fixed by typing over it, in this week alone, and Delete gives it back', () => {
    expect(lineOf(ruled, 2)?.byRule).toEqual(['sets', 'goal', 'load'])
    const fixed = put(ruled, type(ruled, 2, 1, '2'))
    expect(lineOf(fixed, 2)).toMatchObject({
      byRule: ['goal', 'load'],
      fixed: ['sets'],
      prescribed: { sets: 2 },
    })
    expect(lineOf(fixed, 3)?.byRule).toEqual(['sets', 'goal', 'load'])
    const back = put(fixed, clearRange(library, fixed, week(2, fixed), rangeOf(at(0, 1), null)))
    expect(lineOf(back, 2)).toMatchObject({ byRule: ['sets', 'goal', 'load'], fixed: [] })
    expect(lineOf(back, 2)?.prescribed).toEqual(lineOf(ruled, 2)?.prescribed)
  })
  test('is fixed too where the same number is typed, and undo takes it away again', () => {
    const command = type(ruled, 1, 1, '3') as Command
    const fixed = put(ruled, command)
    expect(lineOf(fixed, 1)?.fixed).toEqual(['sets'])
    expect(applyCommand(fixed, invert(command))).toEqual(ruled)
  })
  test('is marked as fixed where a load stands that is the rule’s in other weeks', () => {
    const fixed = put(ruled, type(ruled, 2, 3, '80%'))
    expect(lineOf(fixed, 2)?.fixed).toEqual(['load'])
    expect(lineOf(fixed, 1)?.fixed).toEqual([])
  })
  test('is counted where something is filled over it, and is not filled itself', () => {
    const fixed = put(ruled, type(ruled, 1, 1, '2'))
    const filled = fillRange(fixed, week(1, fixed), rangeOf(at(0, 1), null))
    expect(filled.byRule).toBe(2)
    expect(lineOf(put(fixed, filled.command), 3)).toMatchObject({ fixed: ['sets'], prescribed: { sets: 2 } })
    expect(fillRange(ruled, week(1), rangeOf(at(0, 1), at(0, 2))).command).toBeNull()
    const typedOver = type(ruled, 1, 1, '2', true)
    expect(typedOver?.do === 'several' && overRules(ruled, typedOver.commands, 0)).toBe(2)
  })
})
