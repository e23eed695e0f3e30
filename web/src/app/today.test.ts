import { expect, test } from '@jest/globals'
import { isDay } from '@young-oak/core/units'
import { nextMonday, today } from './today.ts'

test('today is a day of this device', () => expect(isDay(today())).toBe(true))

// Days of the week by the calendar of 2026: 28 November is a Saturday, 25 October the day that clocks change in Europe.
test.each([
  ['2026-11-28', '2026-11-30'],
  ['2026-11-29', '2026-11-30'],
  ['2026-11-30', '2026-12-07'],
  ['2026-10-24', '2026-10-26'],
  ['2026-12-31', '2027-01-04'],
])('the Monday after %s is %s', (day, monday) => expect(nextMonday(day)).toBe(monday))
