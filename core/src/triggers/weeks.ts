import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun } from './trigger.ts'

/** So many weeks of the plan, from that of the first exposure on. */
export const weeks = defineTrigger<{ count: number }>({
  kind: 'weeks',
  title: 'A number of weeks',
  params: strictObject({ count: wholeField('weeks', 1, 52).required() }),
  fields: {
    count: {
      label: 'Weeks with the progression',
      unit: 'weeks',
      hint: 'From the week of its first session on, however many are trained.',
    },
  },
  sentence: ({ count }) => `after ${count} ${count === 1 ? 'week' : 'weeks'}`,
  fires: ({ first, last }, { count }) => first !== null && last !== null && last - first >= count,
  isDue: ({ first }, { count }, week) => first !== null && week - first >= count,
  examples: [
    {
      say: 'a session in the fifth week, after four',
      params: { count: 4 },
      run: { ...freshRun, exposures: 9, first: 3, last: 7 },
      want: true,
    },
    {
      say: 'a session in the fourth',
      params: { count: 4 },
      run: { ...freshRun, exposures: 8, first: 3, last: 6 },
      want: false,
    },
  ],
})
