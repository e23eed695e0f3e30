import { describe, expect, test } from '@jest/globals'
import { formatIssue } from '../../parsing/index.ts'
import { sayLayout } from '../compare/sayLayout.ts'
import { readTemplate } from './read.ts'

const slot = { exercise: 'backSquat', rows: { p: ['3 x 5 @ none'] } }
const file = (phase: object, ids = ['a', 'b', 'c']) => ({
  format: 2,
  name: 'Days',
  phases: [{ id: 'p', name: 'P', weeks: 2, rotation: ['a', 'b', 'c'], perWeek: 3, ...phase }],
  sessions: Object.fromEntries(
    ids.map((id) => [id, { name: id.toUpperCase(), sections: [{ name: 'Main', slots: [`s-${id}`] }] }]),
  ),
  slots: Object.fromEntries(ids.map((id) => [`s-${id}`, slot])),
})
const faults = (phase: object) => (readTemplate(file(phase)).issues ?? []).map(formatIssue).join('\n')
const phaseOf = (phase: object, ids?: string[]) => readTemplate(file(phase, ids)).template?.phases[0]

describe('days of rest', () => {
  test('among the sessions of a rotation are its layout’s', () => {
    const phase = phaseOf({ rotation: ['a', 'b', 'rest', 'c', 'rest', 'rest'] })
    expect([phase?.rotation, phase?.layout]).toEqual([['a', 'b', 'c'], { rest: [2, 3, 3] }])
  })
  test('that a rotation begins with come after its last session', () =>
    expect(phaseOf({ rotation: ['rest', 'a', 'b', 'c'] })?.layout).toEqual({ rest: [3] }))
  test('are none where a session is called so', () => {
    const phase = phaseOf({ rotation: ['a', 'rest', 'c'] }, ['a', 'rest', 'c'])
    expect([phase?.rotation, phase?.layout]).toEqual([['a', 'rest', 'c'], undefined])
  })
  test('are read again as they were read', () => {
    const { template } = readTemplate(file({ rotation: ['a', 'b', 'rest', 'c'] }))
    expect(readTemplate(JSON.parse(JSON.stringify(template))).template).toEqual(template)
  })
})

test.each([
  [{ rotation: ['rest'] }, 'phases[0].rotation: expected a session beside the days of rest'],
  [
    { rotation: ['a', 'x', 'rest', 'c'] },
    'phases[0].rotation[1]: expected a session of this template, or "rest"; got "x"',
  ],
  [
    { rotation: ['a', 'b', 'rest', 'c'], layout: { rest: [1] } },
    'phases[0].layout.rest: expected days of rest in the rotation or here',
  ],
  [{ layout: {} }, 'phases[0].layout: expected "weekdays", "rest", "running" or "sameDay"'],
  [
    { layout: { running: 0 } },
    'phases[0].layout.running: expected the most days in a row, a whole number from 1 to 6; got 0',
  ],
  [{ layout: { rest: [4] } }, 'phases[0].layout.rest[0]: expected a session of the rotation, 1 to 3; got 4'],
  [
    { layout: { weekdays: [1, 3] } },
    'phases[0].layout.weekdays: expected 3 weekdays, one for each session of the week',
  ],
  [
    { layout: { weekdays: [1, 1, 3] } },
    'phases[0].layout.weekdays[1]: expected a weekday after the one before, within a week; got 1. For two sessions on one day',
  ],
  [
    { layout: { weekdays: [1, 5, 3] } },
    'phases[0].layout.weekdays[2]: expected a weekday after the one before, within a week',
  ],
  [
    { layout: { weekdays: [1, 2, 3], sameDay: [{ first: 1, hours: 5 }] } },
    'phases[0].layout.weekdays[1]: expected the weekday of the session before',
  ],
  [
    { layout: { weekdays: [1, 3, 5], running: 2 } },
    'phases[0].layout.weekdays: expected weekdays, or days of rest and days in a row',
  ],
  [
    { layout: { sameDay: [{ first: 3, hours: 5 }] } },
    'phases[0].layout.sameDay[0].first: expected a session of the week, 1 to 2; got 3',
  ],
])('%j is refused where it stands', (phase, fault) => expect(faults(phase)).toContain(fault))

test('weekdays may begin anywhere in the week', () =>
  expect(phaseOf({ layout: { weekdays: [6, 1, 3] } })?.layout?.weekdays).toEqual([6, 1, 3]))

test.each([
  [undefined, null],
  [{ weekdays: [1, 4] }, 'weekdays Monday, Thursday'],
  [{ rest: [2, 3], running: 2 }, 'a day of rest after session 2, 3 of the rotation; at most 2 days in a row'],
  [{ sameDay: [{ first: 1, hours: 6 }] }, 'day 2 on the same date as day 1, 6 h later'],
])('%j is said as "%s"', (layout, said) => expect(sayLayout({ layout })).toBe(said))
