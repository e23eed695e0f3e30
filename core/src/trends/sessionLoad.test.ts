import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { SessionLog } from '../member/index.ts'
import { addDays } from '../units/index.ts'
import { loadWeeks, sessionLoad } from './sessionLoad.ts'

const monday = '2026-03-02'
const session = (day: number, hard?: number, minutes?: number): SessionLog =>
  ({
    id: `s${day}`,
    date: addDays(monday, day),
    sets: [{}],
    answers: { ...(hard !== undefined && { hard }), ...(minutes !== undefined && { minutes }) },
  }) as unknown as SessionLog
const nextMonday = addDays(monday, 7)

// Foster et al. 2001 (session hardness by minutes) and Foster 1998 (monotony, strain), cited from memory; worked by hand: 300 on Monday, Wednesday and Friday. The mean
// of the seven days is 900 ÷ 7 = 128.571; the squares sum to 3 × 171.429² + 4 × 128.571² = 154,285.7, over 6 that is 25,714.3, and its root 160.357. Monotony is
// 128.571 ÷ 160.357 = 0.80, strain 900 × 0.8018 = 722.
test('three sessions of 300 have a monotony of 0.80 and a strain of 722', () => {
  const logs = [session(0, 5, 60), session(2, 6, 50), session(4, 5, 60)]
  expect(logs.map(sessionLoad)).toEqual([300, 300, 300])
  expect(loadWeeks(logs, nextMonday)[0]).toEqual({
    from: monday,
    days: [300, 0, 300, 0, 300, 0, 0],
    load: 900,
    monotony: 0.8,
    strain: 722,
    sessions: 3,
    unrated: 0,
  })
})

describe('what is not known', () => {
  test('is never made up: a session without minutes leaves the week without monotony', () =>
    expect(loadWeeks([session(0, 5, 60), session(2, 8)], nextMonday)[0]).toMatchObject({
      load: 300,
      monotony: null,
      strain: null,
      unrated: 1,
    }))
  test('is what a week that is running comes to', () =>
    expect(loadWeeks([session(0, 5, 60)], addDays(monday, 3)).at(-1)).toMatchObject({
      load: 300,
      monotony: null,
    }))
  test('is how days differ that are all alike', () => {
    const daily = Array.from({ length: 7 }, (_, i) => session(i, 4, 30))
    expect(loadWeeks(daily, nextMonday)[0]).toMatchObject({ load: 840, monotony: null, strain: null })
  })
})

test('weeks begin on the gym’s day, and there are none before the first session', () => {
  const weeks = loadWeeks([session(5, 5, 60)], addDays(monday, 13), 7)
  expect(weeks.map(({ from, load }) => [from, load])).toEqual([
    ['2026-03-01', 300],
    ['2026-03-08', 0],
    ['2026-03-15', 0],
  ])
  expect(loadWeeks([], nextMonday)).toEqual([])
})

test('twice the minutes on every day is twice the load at the same monotony', () =>
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 7, maxLength: 7 }), (minutes) => {
      const of = (times: number) =>
        loadWeeks(
          minutes.flatMap((count, i) => (count ? [session(i, 5, count * times)] : [])),
          nextMonday,
        )[0]
      const [once, twice] = [of(1), of(2)]
      fc.pre(once !== undefined && twice !== undefined)
      expect(twice?.load).toBe(2 * (once?.load ?? 0))
      expect(twice?.monotony).toBe(once?.monotony)
    }),
  ))
