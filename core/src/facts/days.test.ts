import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { sessionsIn } from './days.ts'

describe('the most sessions of a week', () => {
  // Counted by hand; Sunday is followed by Monday.
  test.each<[string, number[], number | undefined, number]>([
    ['three days apart', [1, 3, 5], 1, 3],
    ['Monday to Friday, at most two in a row: Mon Tue, Thu Fri', [1, 2, 3, 4, 5], 2, 4],
    ['Monday to Friday, one at a time: Mon Wed Fri', [1, 2, 3, 4, 5], 1, 3],
    ['every day, at most three in a row: three, a day off, two, a day off', [1, 2, 3, 4, 5, 6, 7], 3, 5],
    ['every day, at most six in a row', [1, 2, 3, 4, 5, 6, 7], 6, 6],
    ['Saturday to Monday across the week, at most two in a row', [1, 6, 7], 2, 2],
    ['Sunday and Monday, one at a time', [1, 7], 1, 1],
    ['every day, with no word on days in a row', [1, 2, 3, 4, 5, 6, 7], undefined, 7],
    ['no days', [], 2, 0],
  ])('%s', (_, weekdays, most, sessions) => {
    expect(sessionsIn({ weekdays, ...(most !== undefined && { most }) })).toBe(sessions)
  })

  test('are never more than the days, never fewer with more days or longer rows, and one at a time they are half of a week at most', () => {
    const days = fc.uniqueArray(fc.integer({ min: 1, max: 7 }))
    fc.assert(
      fc.property(
        days,
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 1, max: 7 }),
        (weekdays, most, day) => {
          const fit = sessionsIn({ weekdays, most })
          expect(fit).toBeLessThanOrEqual(weekdays.length)
          expect(sessionsIn({ weekdays, most: most + 1 })).toBeGreaterThanOrEqual(fit)
          expect(sessionsIn({ weekdays: [...new Set([...weekdays, day])], most })).toBeGreaterThanOrEqual(fit)
          expect(sessionsIn({ weekdays, most: 1 })).toBeLessThanOrEqual(3)
        },
      ),
    )
  })
})
