import { describe, expect, test } from '@jest/globals'
import { readTemplate, applyCommand, isConflict, checkCommand, type Template } from '../template/index.ts'
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
const after = (draft: Template, built: Built) => {
  if (isFault(built)) throw new Error(built.fault)
  expect(checkCommand({}, draft, built)).toEqual([])
  const next = applyCommand(draft, built)
  if (isConflict(next)) throw new Error(next.conflict({}))
  return next.phases.map(({ layout }) => layout)
}
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
