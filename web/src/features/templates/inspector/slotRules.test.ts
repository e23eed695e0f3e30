import { describe, expect, test } from '@jest/globals'
import { ruleKinds } from '@young-oak/core/progressions'
import {
  applyCommand,
  checkCommand,
  invert,
  isConflict,
  readTemplate,
  type Command,
  type Template,
} from '@young-oak/core/template'
import {
  placesAWeek,
  setFull,
  setRole,
  setTurns,
  stopUsing,
  withKnown,
  withNew,
  writtenOver,
} from './slotRules.ts'

const { template } = readTemplate({
  format: 2,
  name: 'One slot',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat', 'bench'] }] } },
  slots: Object.fromEntries(
    [
      ['squat', 'backSquat'],
      ['bench', 'benchPress'],
    ].map(([id, exercise]) => [
      id,
      { exercise, rows: { p: [[{ sets: 3, goal: { reps: 5 }, load: { of: 'max', percent: 70 } }]] } },
    ]),
  ),
})
const draft = template as Template
const minting = () => {
  let count = 0
  return () => `id-${(count += 1)}`
}
function after(at: Template, command: Command | null): Template {
  if (!command) throw new Error('no command')
  expect(checkCommand({}, at, command)).toEqual([])
  const made = applyCommand(at, command)
  if (isConflict(made)) throw new Error(made.conflict({}))
  return made
}

describe('a slot', () => {
  test.each(ruleKinds)(
    'takes a rule of its own, which can be published, and gives it up again: %s',
    (kind) => {
      const command = withNew(draft, 'squat', kind, minting())
      const made = after(draft, command)
      expect(readTemplate(JSON.parse(JSON.stringify(made))).issues).toBeUndefined()
      expect(applyCommand(made, invert(command as Command))).toEqual(draft)
      const without = after(made, stopUsing(made, 'squat', 'id-1'))
      expect(without.progressions).toEqual({})
      expect(readTemplate(JSON.parse(JSON.stringify(without))).issues).toBeUndefined()
    },
  )

  test('starts a progression at the percentage that is written, and what is written over is said first', () => {
    const made = after(draft, withNew(draft, 'squat', 'linear', minting()))
    expect(made.progressions['id-1']?.stages[0]?.params).toMatchObject({ startPercent: 70 })
    const { squat } = draft.slots
    expect(squat && writtenOver({}, squat, 'linear')).toEqual(['70%'])
    expect(squat && writtenOver({}, squat, 'density')).toEqual(['3 × 5'])
  })

  test('of two progressions keeps the other when one is used no more', () => {
    const made = after(draft, withNew(draft, 'squat', 'linear', minting()))
    const both = after(
      made,
      withNew(made, 'squat', 'setAccumulation', () => 'sets'),
    )
    const one = after(both, stopUsing(both, 'squat', 'sets'))
    expect(one.slots.squat?.uses.map(({ progression }) => progression)).toEqual(['id-1'])
  })

  test('may be a full exposure at a lower percentage', () => {
    const made = after(draft, withNew(draft, 'squat', 'linear', minting()))
    const both = after(made, withKnown(made, 'bench', 'id-1'))
    const full = after(both, setFull(both, 'bench', 'id-1', true))
    expect(full.slots.bench?.uses[0]?.full).toBe(true)
    expect(after(full, setFull(full, 'bench', 'id-1', false)).slots.bench?.uses).toEqual(
      both.slots.bench?.uses,
    )
  })

  test('has one role, or another at each day of the week', () => {
    const thrice = {
      ...draft,
      phases: draft.phases.map((phase) => ({ ...phase, perWeek: 3 })),
    } as Template
    expect([placesAWeek(draft, 'squat'), placesAWeek(thrice, 'squat'), placesAWeek(thrice, 'none')]).toEqual([
      1, 3, 1,
    ])
    const made = after(thrice, withNew(thrice, 'squat', 'volumeHeavy', minting()))
    const byDay = ['volume', 'light', 'heavy']
    const ungrouped = after(made, setRole(made, 'squat', 'id-1', { byDay }))
    expect(ungrouped.slots.squat?.uses).toEqual([{ progression: 'id-1', role: { byDay } }])
    expect(readTemplate(JSON.parse(JSON.stringify(ungrouped))).issues).toBeUndefined()
    const odd = setRole(made, 'squat', 'id-1', { byDay: ['volume', 'nobody'] }) as Command
    expect(checkCommand({}, made, odd)).not.toEqual([])
  })

  test('follows one that there is, which stays as long as anybody follows it', () => {
    const made = after(draft, withNew(draft, 'squat', 'linear', minting()))
    const both = after(made, withKnown(made, 'bench', 'id-1'))
    expect(both.slots.bench?.rows.p?.[0]?.[0]?.load).toEqual({ of: 'progression' })
    const one = after(both, stopUsing(both, 'squat', 'id-1'))
    expect(Object.keys(one.progressions)).toEqual(['id-1'])
    expect(one.slots.squat?.rows.p?.[1]?.[0]?.load).toEqual({ of: 'free' })
  })

  test('cannot follow two that write the same thing', () => {
    const made = after(draft, withNew(draft, 'squat', 'linear', minting()))
    const command = withNew(made, 'squat', 'wave', () => 'other') as Command
    expect(checkCommand({}, made, command)[0]?.expected).toContain('does not write the load too')
  })

  test('takes lifts in turn, and gives them up', () => {
    const turns = { with: [{ exercise: 'frontSquat' as const }], by: 'week' as const, every: 3 }
    const made = after(draft, setTurns(draft, 'squat', turns))
    expect(made.slots.squat?.rotation).toEqual(turns)
    expect(after(made, setTurns(made, 'squat', null))).toEqual(draft)
  })
})
