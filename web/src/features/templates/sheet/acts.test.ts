// What keys do in the sheet, without a browser.
import { readdirSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { applyCommand, readTemplate, type Command, type Template } from '@young-oak/core/template'
import { acts, type Act, type Outcome, type SheetView, type Typing } from './acts/index.ts'
import { columnsOf, rangeOf, type At } from './sheet.ts'
import { after, gone, pressed, startState } from './sheetState.ts'
import { kept, opened, pressedTyping, typed } from './typing.ts'

const library = {}
const set = (sets: number, load: object) => ({ id: '1', sets, goal: { reps: 5 }, load })
const { template: draft } = readTemplate({
  format: 2,
  name: 'Keys',
  phases: [{ id: 'p', name: 'P', weeks: 3, rotation: ['a', 'b'], perWeek: 2 }],
  sessions: {
    a: { name: 'A', sections: [{ name: 'Main', slots: ['squat', 'bench'] }] },
    b: { name: 'B', sections: [{ name: 'Main', slots: ['row'] }] },
  },
  slots: {
    squat: {
      exercise: 'backSquat',
      uses: [{ progression: 'squat' }],
      rows: { p: [[set(3, { of: 'progression' })]] },
    },
    bench: { exercise: 'benchPress', rows: { p: [1, 2, 3].map(() => [set(3, { of: 'max', percent: 75 })]) } },
    row: { exercise: 'barbellRow', rows: { p: [[set(3, { of: 'free' })]] } },
  },
  progressions: {
    squat: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startPercent: 70, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
}) as { template: Template }

const squat: At = { column: 0, line: 0, field: 0 }
const bench: At = { column: 0, line: 1, field: 0 }

function viewAt(at: At, more: Partial<SheetView> = {}): SheetView {
  const { anchor = null, draft: own = draft } = more
  const columns = columnsOf(library, own, 1)
  return { library, draft: own, columns, week: 1, weeks: 3, at, anchor, range: rangeOf(at, anchor), ...more }
}

const press = (view: SheetView, chord: string): Outcome => {
  const keys = chord.split('+')
  const key = keys.pop() || '+'
  const held = (name: string) => keys.includes(name)
  const event = { key, ctrlKey: held('Ctrl'), metaKey: false, altKey: held('Alt'), shiftKey: held('Shift') }
  return pressed(view, event) ?? {}
}

/** The draft with an outcome's step done. */
const done = ({ put }: Outcome): Template => {
  if (!put || 'fault' in put) throw new Error(put?.fault ?? 'no step')
  return applyCommand(draft, put as Command) as Template
}

describe('the acts of the sheet', () => {
  test('are one file each, under their name', () => {
    const files = readdirSync(new URL('acts/', import.meta.url)).map((file) => file.replace('.ts', ''))
    const shared = ['act', 'index', 'beside', 'nudge', 'shift']
    expect(files.filter((file) => !shared.includes(file)).sort()).toEqual(acts.map(({ name }) => name).sort())
  })

  test('have keys of their own, each in the list of keys, and a name for the palette', () => {
    const keys = acts.flatMap((act) => [...act.keys])
    expect(new Set(keys).size).toBe(keys.length)
    acts.forEach(({ name, shown, say, label, inMenu }: Act, i) => {
      const before = acts[i - 1] as Act | undefined
      expect([name, Boolean(shown && say) || Boolean(before?.shown?.includes(',')) || inMenu]).not.toEqual([
        name,
        false,
      ])
      if (label !== undefined) expect(label).toMatch(/^[A-Z][\w\s,]+$/)
    })
  })
})

describe('a key', () => {
  test.each([
    ['ArrowDown', squat, bench],
    ['ArrowRight', squat, { ...squat, field: 1 }],
    ['Ctrl+Home', bench, { column: 0, line: 0, field: 1 }],
    ['Ctrl+End', squat, { column: 1, line: 1, field: 0 }],
  ])('%s moves the keyboard', (chord, from, to) => expect(press(viewAt(from), chord).at).toEqual(to))

  test('Shift and an arrow select within a session, and Escape clears the selection', () => {
    const first = press(viewAt(squat), 'Shift+ArrowDown')
    expect(first).toEqual({ anchor: squat, at: bench })
    const state = after(startState, first)
    expect(after(state, press(viewAt(bench, { anchor: squat }), 'Escape')).anchor).toBeNull()
  })

  test('Delete removes an exercise and stays in the session; on a fixed cell it gives the cell back', () => {
    const outcome = press(viewAt(bench), 'Delete')
    expect(done(outcome).sessions.a?.sections[0]?.slots).toEqual(['squat'])
    expect(outcome.at?.line).toBe(1)
  })

  test('Alt and an arrow move the exercise, and the keyboard with it', () => {
    const outcome = press(viewAt(bench), 'Alt+ArrowUp')
    expect(done(outcome).sessions.a?.sections[0]?.slots).toEqual(['bench', 'squat'])
    expect(outcome.at?.line).toBe(0)
    const over = press(viewAt(bench), 'Alt+ArrowRight')
    expect(done(over).sessions.b?.sections[0]?.slots).toEqual(['row', 'bench'])
    expect(over.at).toMatchObject({ column: 1, line: 1 })
    expect(press(viewAt(bench), 'Alt+ArrowLeft')).toEqual({ say: 'There is no session there.' })
  })

  test('Alt + J joins what is selected, Alt + U ungroups it', () => {
    const joined = done(press(viewAt(bench, { anchor: squat }), 'Alt+j'))
    expect(joined.slots.bench?.superset).toBe(joined.slots.squat?.superset)
    expect(joined.slots.bench?.superset).toBeDefined()
    const view = viewAt(bench, { draft: joined })
    const { put } = press(view, 'Alt+u')
    expect((applyCommand(joined, put as Command) as Template).slots.bench?.superset).toBeUndefined()
  })

  test('Alt + C needs two lines', () => {
    expect(press(viewAt(bench), 'Alt+c').say).toMatch(/two lines or more/)
    expect(press(viewAt(bench, { anchor: squat }), 'Alt+c').circuit).toEqual(['squat', 'bench'])
  })

  test('Alt + F uses a progression that is there, and says so where it is used or there is none', () => {
    expect(press(viewAt(squat), 'Alt+f').say).toMatch(/already/)
    expect(press(viewAt(bench), 'Alt+f').say).toMatch(/No other line/)
  })

  test('Page Down goes a week on, and no further than the last', () => {
    expect(press(viewAt(squat), 'PageDown').week).toBe(2)
    expect(press({ ...viewAt(squat), week: 3 }, 'PageDown').week).toBe(3)
    expect(press(viewAt(squat), 'PageUp').week).toBe(1)
  })

  test('Shift + F10 opens the menu of an exercise, and nothing on an empty line', () => {
    expect(press(viewAt(squat), 'Shift+F10').menu).toBe(true)
    expect(press(viewAt({ column: 0, line: 2, field: 0 }), 'Shift+F10')).toEqual({})
  })

  test('Enter and Space on a member’s load are left to it', () => {
    const load = { ...bench, field: 6 }
    expect(
      pressed(viewAt(load), { key: 'Enter', ctrlKey: false, metaKey: false, altKey: false, shiftKey: false }),
    ).toBeNull()
    expect(press(viewAt(load), '5')).toEqual({})
  })

  test('Alt + Enter adds a line of sets below', () => {
    const added = done(press(viewAt({ ...bench, field: 1 }), 'Alt+Enter'))
    expect(added.slots.bench?.rows.p?.[0]).toHaveLength(2)
  })
})

describe('typing', () => {
  const load: At = { ...bench, field: 3 }
  const begin = (view: SheetView, text: string): Typing => typed(view, text).typing as Typing
  const key = (name: string, held: { altKey?: boolean; shiftKey?: boolean } = {}) => ({
    key: name,
    altKey: false,
    shiftKey: false,
    ...held,
  })

  test('opens a cell as it is written, and a member’s load not at all', () => {
    expect(opened(viewAt(load))).toEqual({ text: '75%', replaced: false })
    expect(opened(viewAt({ ...bench, field: 6 }))).toBeNull()
  })

  test('is kept by Enter, which goes down, and by Tab, which goes right', () => {
    const view = viewAt(load)
    const outcome = pressedTyping(view, begin(view, '80%'), key('Enter'))
    expect(outcome).toMatchObject({ typing: null, at: { line: 2 } })
    expect(done(outcome as Outcome).slots.bench?.rows.p?.[0]?.[0]?.load).toEqual({ of: 'max', percent: 80 })
    expect(pressedTyping(view, begin(view, '80%'), key('Tab'))?.at).toEqual({ ...load, field: 4 })
  })

  test('that cannot be kept stays, with what is wrong', () => {
    const view = viewAt(load)
    const outcome = kept(view, begin(view, '80 kg'), squat)
    expect(outcome.put).toBeUndefined()
    expect(outcome.typing).toMatchObject({
      text: '80 kg',
      error: expect.stringContaining('no kilos or pounds'),
    })
  })

  test('ends with Escape and changes nothing', () => {
    const view = viewAt(load)
    expect(pressedTyping(view, begin(view, '80%'), key('Escape'))).toEqual({
      typing: null,
      trial: null,
      at: load,
    })
  })

  test('with Shift + Enter fills the later weeks', () => {
    const view = viewAt(load)
    const filled = done(kept(view, begin(view, '80%'), load, true))
    expect(filled.slots.bench?.rows.p?.map(([one]) => one?.load)).toEqual(
      [1, 2, 3].map(() => ({ of: 'max', percent: 80 })),
    )
  })

  test.each<[string, At, string]>([
    ['a load', { ...squat, field: 3 }, '80%'],
    ['a whole line', squat, 'back squat 5 x 5 @ 75%'],
  ])('asks before it fills %s over what a progression writes', (_, at, text) => {
    const view = viewAt(at)
    const { put, ask } = kept(view, begin(view, text), at, true)
    expect(put).toBeUndefined()
    expect(ask?.byRule).toBe(2)
    const only = applyCommand(draft, ask?.otherwise as Command) as Template
    expect(only.slots.squat?.rows.p?.map(([one]) => one?.load.of)).toEqual([
      'max',
      'progression',
      'progression',
    ])
  })

  test('on an empty line adds an exercise, offers others by the arrows, and names one that is unknown', () => {
    const view = viewAt({ column: 1, line: 1, field: 0 })
    const typing = begin(view, 'squat 3x5')
    expect(typing.found?.length).toBeGreaterThan(1)
    const second = pressedTyping(view, typing, key('ArrowDown'))?.typing
    expect(second?.pick).toBe(1)
    const added = kept(view, second as Typing, view.at)
    expect(Object.values(done(added).slots).map(({ exercise }) => exercise)).toContain(typing.found?.[1])
    const unknown = begin(view, 'barge pull 3x5')
    expect(unknown.unknown).toBe('barge pull')
    expect(pressedTyping(view, unknown, key('n', { altKey: true }))).toEqual({ newExercise: 'barge pull' })
  })

  test('keeps the keyboard where it is while a cell is typed into', () => {
    const view = viewAt(load)
    const state = after({ ...startState, at: load }, typed(view, '8'))
    expect(gone(state, squat, false)).toBe(state)
  })
})
