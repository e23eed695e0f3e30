import { describe, expect, test } from '@jest/globals'
import type { Command, Template } from '@young-oak/core/template'
import { edit, editor, openDraft, merge, putIn, redo, undo, type Editor } from './editorSlice.ts'

const prescribed = (sets: number) => ({ id: 'a', sets, goal: { reps: 5 }, load: { of: 'free' as const } })
const template: Template = {
  format: 2,
  name: 'Two days',
  maxes: { use: 'newest' },
  missed: 'hold',
  rounding: 'nearest',
  phases: [{ id: 'p', name: 'Block', weeks: 2, rotation: ['a', 'b'], perWeek: 3, deloads: [] }],
  sessions: {
    a: {
      name: 'A',
      sections: [
        { name: 'Main', slots: ['squat', 'bench'] },
        { name: 'After', slots: ['chin'] },
      ],
    },
    b: { name: 'B', sections: [{ name: 'Main', slots: ['press'] }] },
  },
  slots: {
    squat: {
      exercise: 'backSquat',
      by: 'week',
      uses: [],
      rows: { p: [[prescribed(3), { ...prescribed(1), id: 'b' }], [prescribed(4)]] },
    },
    bench: { exercise: 'benchPress', by: 'week', uses: [], rows: { p: [[prescribed(3)], [prescribed(3)]] } },
    chin: { exercise: 'chinUp', by: 'week', uses: [], rows: { p: [[prescribed(2)], [prescribed(2)]] } },
    press: {
      exercise: 'overheadPress',
      by: 'week',
      uses: [],
      rows: { p: [[prescribed(3)], [prescribed(3)]] },
    },
  },
  progressions: {},
  tracks: {},
}
const sets = (from: number, to: number): Command => ({
  do: 'setCell',
  slot: 'bench',
  phase: 'p',
  row: 0,
  prescription: 'a',
  field: 'sets',
  from,
  to,
})
const run = (...actions: Parameters<typeof editor.reducer>[1][]): Editor =>
  [openDraft({ id: 't', revision: 7, draft: template, library: {} }), ...actions].reduce<Editor>(
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
    const [first] = state.waiting
    const edits = first ? [first] : []
    const answers = edits.map(({ id }) => ({ id, result: 'stored' as const }))
    const after = editor.reducer(state, merge({ revision: 8, answers, edits }))
    expect(after.waiting.map(({ command }) => command)).toEqual([sets(5, 6)])
    expect([after.revision, after.draft === state.draft]).toEqual([8, true])
  })
  test('keeps each step with its name', () => {
    expect(run(edit(sets(3, 5))).done.map(({ name }) => name)).toEqual([expect.stringMatching(/sets 3 → 5$/)])
  })
  test('with nothing to undo stays as it is', () => expect(run(undo(), redo())).toEqual(run()))
})

describe('two at once', () => {
  const theirs = (command: Command) => ({ id: crypto.randomUUID(), command })
  const rest = (to: number): Command => ({
    do: 'setCell',
    slot: 'bench',
    phase: 'p',
    row: 0,
    prescription: 'a',
    field: 'rest',
    from: null,
    to,
  })

  test('what does not touch is joined, and undo takes back only mine', () => {
    const state = run(edit(sets(3, 5)), merge({ revision: 8, answers: [], edits: [theirs(rest(90))] }))
    const cell = state.draft?.slots.bench?.rows.p?.[0]?.[0]
    expect([cell?.sets, cell?.rest, state.waiting.length, state.aside]).toEqual([5, 90, 1, []])
    expect(state.notice).toBe('A change made elsewhere received.')
    const undone = editor.reducer(state, undo())
    expect(undone.draft?.slots.bench?.rows.p?.[0]?.[0]).toMatchObject({ sets: 3, rest: 90 })
  })

  test('what touches is set aside in sight with what stands now, and can be put in over it', () => {
    const state = run(edit(sets(3, 5)), merge({ revision: 8, answers: [], edits: [theirs(sets(3, 4))] }))
    expect(count(state)).toBe(4)
    expect([state.waiting.length, state.aside.map(({ reason }) => reason)]).toEqual([
      0,
      [expect.stringMatching(/is 4 now/)],
    ])
    const put = editor.reducer(state, putIn(state.aside[0]?.id ?? ''))
    expect([count(put), put.aside, put.waiting.length]).toEqual([5, [], 1])
  })

  test('what the server answers as a conflict is set aside too, and the others of the batch are stored', () => {
    const state = run(edit(sets(3, 5)), edit(rest(60)))
    const [first, second] = state.waiting
    if (!first || !second) throw new Error('nothing waits')
    const other = theirs(sets(3, 4))
    const after = editor.reducer(
      state,
      merge({
        revision: 9,
        answers: [
          { id: first.id, result: 'conflict', message: 'It is 4 now.' },
          { id: second.id, result: 'stored' },
        ],
        edits: [other, second],
      }),
    )
    const cell = after.draft?.slots.bench?.rows.p?.[0]?.[0]
    expect([cell?.sets, cell?.rest, after.waiting.length, after.aside.length]).toEqual([4, 60, 0, 1])
  })

  test('edits that a closed page left behind are on top of the draft when it is opened again', () => {
    const kept = [theirs(sets(3, 5))]
    const state = editor.reducer(
      editor.getInitialState(),
      openDraft({ id: 't', revision: 7, draft: template, library: {}, waiting: kept }),
    )
    expect([count(state), state.waiting]).toEqual([5, kept])
  })

  test('an answer that is older than what is known changes nothing', () => {
    const state = run(merge({ revision: 9, answers: [], edits: [theirs(sets(3, 4))] }))
    expect(count(editor.reducer(state, merge({ revision: 8, answers: [], edits: [] })))).toBe(4)
  })
})
