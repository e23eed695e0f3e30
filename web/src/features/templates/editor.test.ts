import { describe, expect, test } from '@jest/globals'
import type { Command, Template } from '@young-oak/core/template'
import { edit, editor, openDraft, redo, saved, undo, type Editor } from './editorSlice.ts'

const group = (sets: number) => ({ id: 'a', sets, goal: { reps: 5 }, load: { of: 'free' as const } })
const template: Template = {
  format: 1,
  name: 'Two days',
  maxes: { use: 'newest' },
  missed: 'hold',
  rounding: 'nearest',
  phases: [{ id: 'p', name: 'Block', weeks: 2, rotation: ['a', 'b'], perWeek: 3, light: [] }],
  sessions: {
    a: {
      name: 'A',
      parts: [
        { name: 'Main', slots: ['squat', 'bench'] },
        { name: 'After', slots: ['chin'] },
      ],
    },
    b: { name: 'B', parts: [{ name: 'Main', slots: ['press'] }] },
  },
  slots: {
    squat: {
      exercise: 'backSquat',
      by: 'week',
      follows: [],
      rows: { p: [[group(3), { ...group(1), id: 'b' }], [group(4)]] },
    },
    bench: { exercise: 'benchPress', by: 'week', follows: [], rows: { p: [[group(3)], [group(3)]] } },
    chin: { exercise: 'chinUp', by: 'week', follows: [], rows: { p: [[group(2)], [group(2)]] } },
    press: { exercise: 'overheadPress', by: 'week', follows: [], rows: { p: [[group(3)], [group(3)]] } },
  },
  progressions: {},
  tracks: {},
}
const sets = (from: number, to: number): Command => ({
  do: 'setCell',
  slot: 'bench',
  phase: 'p',
  row: 0,
  group: 'a',
  field: 'sets',
  from,
  to,
})
const run = (...actions: Parameters<typeof editor.reducer>[1][]): Editor =>
  [openDraft({ id: 't', draft: template }), ...actions].reduce<Editor>(
    (state, action) => editor.reducer(state, action),
    editor.getInitialState(),
  )
const count = (state: Editor) => state.draft?.slots.bench?.rows.p?.[0]?.[0]?.sets

describe('the editor', () => {
  test('applies an edit at once and puts it in line to be saved', () => {
    const state = run(edit(sets(3, 5)))
    expect([count(state), state.waiting.length, state.done.length]).toEqual([5, 1, 1])
  })
  test('undoes and redoes by commands, each of which is saved as well', () => {
    const undone = run(edit(sets(3, 5)), undo())
    expect([count(undone), undone.waiting.length]).toEqual([3, 2])
    const redone = run(edit(sets(3, 5)), undo(), redo())
    expect([count(redone), redone.waiting.length, redone.undone.length]).toEqual([5, 3, 0])
  })
  test('forgets what was undone once something new is done', () => {
    expect(run(edit(sets(3, 5)), undo(), edit(sets(3, 4))).undone).toEqual([])
  })
  test('says so where the value was changed since, and changes nothing', () => {
    const state = run(edit(sets(7, 5)))
    expect([count(state), state.waiting.length]).toEqual([3, 0])
    expect(state.notice).toContain('has been changed since')
  })
  test('keeps what is not saved yet when an earlier part is', () => {
    const state = run(edit(sets(3, 5)), edit(sets(5, 6)))
    const after = editor.reducer(state, saved([state.waiting[0]?.id ?? '']))
    expect(after.waiting.map(({ command }) => command)).toEqual([sets(5, 6)])
  })
  test('keeps each step with its name', () => {
    expect(run(edit(sets(3, 5))).done.map(({ name }) => name)).toEqual([expect.stringMatching(/sets 3 → 5$/)])
  })
  test('with nothing to undo stays as it is', () => expect(run(undo(), redo())).toEqual(run()))
})
