import { listField, wholeField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/**
 * When somebody can train: weekdays (1 is Monday, 7 is Sunday), the most of them one after the other, and the minutes that a session may take.
 * How many sessions a week there are is the program's.
 */
export type Days = { weekdays: number[]; most?: number; minutes?: number }

/** A later entry takes the place of all of it; with no weekdays, none are said. */
export const days = defineFact<Days, { days: Days }>({
  kind: 'days',
  isGiven: true,
  shape: factShape({
    weekdays: listField('weekdays, 1 for Monday to 7 for Sunday', 7, 0)
      .of(wholeField('a weekday, 1 for Monday to 7 for Sunday', 1, 7).required())
      .required()
      .test(
        'once',
        'each weekday once',
        (weekdays) => new Set(weekdays as number[]).size === (weekdays as number[]).length,
      ),
    most: wholeField('days one after the other', 1, 7),
    minutes: wholeField('minutes of a session', 10, 300),
  }),
  none: { days: { weekdays: [] } },
  learn: (_, { weekdays, most, minutes }) => ({
    days: { weekdays: [...weekdays].sort((a, b) => a - b), most, minutes },
  }),
  examples: [
    {
      say: 'three evenings of an hour',
      fact: { weekdays: [5, 1, 3], minutes: 60 },
      want: { days: { weekdays: [1, 3, 5], minutes: 60 } },
    },
  ],
})

/** The most sessions of a week, one a day, on the weekdays that somebody trains on, with no more days one after the other than they do; weeks follow each other. 0 to 7. */
export function sessionsIn({ weekdays, most = 7 }: Days): number {
  let best = 0
  for (let chosen = 0; chosen < 2 ** weekdays.length; chosen++) {
    const on = weekdays.filter((_, i) => chosen & (2 ** i))
    if (on.length > best && longestRun(on) <= most) best = on.length
  }
  return best
}

/** The longest run of days that follow each other, Monday after Sunday. */
function longestRun(weekdays: readonly number[]): number {
  let longest = 0
  for (const first of weekdays) {
    let run = 1
    while (run < 7 && weekdays.includes(((first - 1 + run) % 7) + 1)) run++
    longest = Math.max(longest, run)
  }
  return longest
}
