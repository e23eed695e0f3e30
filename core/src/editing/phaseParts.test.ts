import { describe, expect, test } from '@jest/globals'
import {
  readTemplate,
  rirIn,
  applyCommand,
  isConflict,
  checkCommand,
  type Template,
} from '../template/index.ts'
import { isFault, type Built } from './built.ts'
import { setRotation, splitPhase } from './phases.ts'
import { removeSession } from './removeSession.ts'
import { addSession, copySession } from './sessions.ts'

const ids = ['a', 'b', 'c']
const draftOf = (layout: object): Template => {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Days',
    phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ids, perWeek: 3, layout }],
    sessions: Object.fromEntries(
      ids.map((id) => [id, { name: id, sections: [{ name: 'Main', slots: [`s-${id}`] }] }]),
    ),
    slots: Object.fromEntries(
      ids.map((id) => [`s-${id}`, { exercise: 'backSquat', rows: { p: ['3 x 5 @ none'] } }]),
    ),
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}
const made = (draft: Template, built: Built): Template => {
  if (isFault(built)) throw new Error(built.fault)
  expect(checkCommand({}, draft, built)).toEqual([])
  const next = applyCommand(draft, built)
  if (isConflict(next)) throw new Error(next.conflict({}))
  return next
}
const after = (draft: Template, built: Built) => made(draft, built).phases.map(({ layout }) => layout)
let minted = 0
const mint = () => `new-${++minted}`

describe('days of a phase follow its sessions', () => {
  const rests = draftOf({ rest: [1, 3], running: 4 })
  const weekdays = draftOf({ weekdays: [1, 1, 5], sameDay: [{ first: 1, hours: 6 }] })
  test('with fewer a week', () =>
    expect(after(weekdays, setRotation(weekdays, 'p', ids, 1))).toEqual([{ weekdays: [1] }]))
  test('with more a week, which come on the days after', () =>
    expect(after(weekdays, setRotation(weekdays, 'p', ids, 5))[0]?.weekdays).toEqual([1, 1, 5, 6, 7]))
  test('with one taken out, whose day of rest goes to the one before', () =>
    expect(after(rests, removeSession({}, rests, 'b'))).toEqual([{ rest: [1, 2], running: 4 }]))
  test('with the first taken out, whose day of rest goes to the last', () =>
    expect(after(rests, removeSession({}, rests, 'a'))).toEqual([{ rest: [2, 2], running: 4 }]))
  test('with one more at the end', () =>
    expect(after(rests, addSession(rests, 'p', 'More', mint))).toEqual([{ rest: [1, 3], running: 4 }]))
  test('with a copy in between', () =>
    expect(after(rests, copySession(rests, 'a', 'p', mint, 1))).toEqual([{ rest: [1, 4], running: 4 }]))
  test('when the phase is split in the middle of its rotation', () => {
    const five = after(rests, setRotation(rests, 'p', ids, 2))
    expect(five).toEqual([{ rest: [1, 3], running: 4 }])
    const draft = { ...rests, phases: rests.phases.map((phase) => ({ ...phase, perWeek: 2 })) }
    // The second week begins with c, whose day of rest comes first now, and a's after it.
    expect(after(draft, splitPhase(draft, 'p', 1, mint))[1]).toEqual({ rest: [1, 2], running: 4 })
  })
})

describe('a phase whose RIR falls', () => {
  const withRamp = (): Template => {
    const draft = draftOf({ running: 6 })
    return {
      ...draft,
      phases: draft.phases.map((phase) => ({ ...phase, weeks: 7, defaults: { rir: { from: 4, to: 0 } } })),
      slots: Object.fromEntries(
        Object.entries(draft.slots).map(([id, slot]) => [
          id,
          { ...slot, rows: { p: Array.from({ length: 7 }, () => slot.rows.p?.[0] ?? []) } },
        ]),
      ),
    }
  }
  const rirs = ({ phases }: Template) =>
    phases.flatMap((phase) =>
      Array.from({ length: phase.weeks as number }, (_, i) => {
        const { rir } = phase.defaults ?? {}
        return typeof rir === 'object' ? rirIn(rir, phase, i + 1) : rir
      }),
    )
  test('goes on falling in both parts when it is split, and split again', () => {
    const draft = withRamp()
    const all = rirs(draft)
    expect(all).toEqual([4, 3, 3, 2, 1, 1, 0])
    const once = made(draft, splitPhase(draft, 'p', 3, mint))
    expect(rirs(once)).toEqual(all)
    const second = once.phases[1]?.id ?? ''
    expect(rirs(made(once, splitPhase(once, second, 2, mint)))).toEqual(all)
  })
  test('is not split where a session has the ramp', () => {
    const draft = draftOf({ running: 6 })
    const own = { ...draft.sessions.a, defaults: { rir: { from: 3, to: 0 } } } as Template['sessions'][string]
    const built = splitPhase({ ...draft, sessions: { ...draft.sessions, a: own } }, 'p', 1, mint)
    expect(isFault(built) && built.fault).toMatch(/^The RIR of a falls over the weeks of a phase/)
  })
})
