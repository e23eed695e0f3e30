import { expect, test } from '@jest/globals'
import { splitRests, type Phase } from '@young-oak/core/template'
import { readHours, readRunning, weekdaysWith, withPair, withWeekday } from './layoutDraft.ts'
import { stepsOf } from './rotationSteps.ts'

const pair = [{ first: 1, hours: 6 }]

test('weekdays are spread from Monday, and those of one day share it', () => {
  expect(weekdaysWith(3, [])).toEqual([1, 3, 5])
  expect(weekdaysWith(6, [])).toEqual([1, 2, 3, 4, 5, 6])
  expect(weekdaysWith(3, pair)).toEqual([1, 1, 4])
})

test('another weekday moves the days after it and before it out of its way', () => {
  expect(withWeekday([1, 3, 5], 2, 4, [])).toEqual([1, 4, 5])
  expect(withWeekday([1, 3, 5], 2, 6, [])).toEqual([1, 6, 7])
  expect(withWeekday([2, 4, 5], 3, 3, [])).toEqual([1, 2, 3])
  expect(withWeekday([1, 1, 4], 1, 3, pair)).toEqual([3, 3, 4])
})

test('a session comes on the day of the one before it, and leaves it again', () => {
  expect(withPair({ weekdays: [1, 3, 5] }, 1, 6)).toEqual({ sameDay: pair, weekdays: [1, 1, 5] })
  expect(withPair({ weekdays: [1, 1, 5], sameDay: pair }, 1, null)).toEqual({
    sameDay: undefined,
    weekdays: [1, 2, 5],
  })
  expect(withPair({ running: 2 }, 2, 4)).toEqual({ sameDay: [{ first: 2, hours: 4 }] })
})

test('days running and hours are read as typed', () => {
  expect([readRunning('2'), readRunning(''), 'fault' in readRunning('0')]).toEqual([
    { running: 2 },
    { running: undefined },
    true,
  ])
  expect([readHours('6'), readHours('0'), readHours('x')]).toEqual([6, null, null])
})

test('a rotation is laid out with its days of rest, and read back', () => {
  const phase = { rotation: ['a', 'b', 'c'], layout: { rest: [2, 3, 3] } } as unknown as Phase
  const steps = stepsOf(phase)
  expect(steps).toEqual(['a', 'b', null, 'c', null, null])
  expect(splitRests(steps)).toEqual({ rotation: ['a', 'b', 'c'], rest: [2, 3, 3] })
  expect(splitRests([null, 'a', 'b'])).toEqual({ rotation: ['a', 'b'], rest: [2] })
})
