import { expect, test } from '@jest/globals'
import { formatIssue } from './issue.ts'
import { fixForName, nearest } from './nearest.ts'
import { readTemplate } from '../template/index.ts'

test.each([
  ['backSqat', 'backSquat'],
  ['Back squat', 'backSquat'],
  ['bench-press', 'benchPress'],
  ['sq', null],
  ['', null],
  [7, null],
  ['constructor', null],
])('%p is nearest to %p', (typed, want) =>
  expect(nearest(typed, ['backSquat', 'benchPress', 'deadlift'])).toBe(want),
)

test('a name of an earlier format goes before one that is near', () => {
  expect(fixForName('turns', ['rotation', 'turn'])).toBe('Since format 2 it is called rotation.')
  expect(fixForName('turnz', ['rotation', 'turn'])).toBe('Write "turn".')
})

test('each misspelling of a file is one fault, with what was most likely meant', () => {
  const file = {
    format: 2,
    name: 'Misspelt',
    phases: [
      { id: 'p', name: 'P', weeks: 2, rotation: ['a'], perWeek: 1 },
      { id: 'q', name: 'Q', weeks: 'two', rotation: ['a'], perWeek: 1 },
    ],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
    slots: {
      s: { exercise: 'backSqat', rows: {} },
      t: { exercise: 'benchPress', by: 'weak', rows: {} },
      u: { exercise: 'deadlift', nots: 'slow', rows: {} },
      v: { exercise: 'deadlift', rows: { p: ['3 x 5 @ 70%'], q: ['3 x 5 @ 70%'] } },
    },
    progressions: { one: { stages: [{ id: 'a', rule: 'linaer', params: {} }] } },
  }
  expect(
    readTemplate(file)
      .issues?.map(formatIssue)
      .map((said) => said.replace(/expected .*; /, '')),
  ).toEqual([
    'phases[1].weeks: got "two".',
    'slots.s.exercise: got "backSqat". Write "backSquat".',
    'slots.t.by: got "weak". Write "week".',
    'slots.u.nots: got "nots". Write "note".',
    'progressions.one.stages[0].rule: got "linaer". Write "linear".',
  ])
})
