import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const fewerDays = defineDeload<{ days: number }>({
  kind: 'fewerDays',
  title: 'Fewer days',
  params: strictObject({ days: wholeField('sessions in the week', 1, 6).required() }),
  fields: {
    days: {
      label: 'Sessions in the week',
      unit: 'sessions',
      hint: 'The first ones of the week stay as written.',
    },
  },
  sentence: ({ days }) => `At most ${days} ${days === 1 ? 'session' : 'sessions'} in the week, as written.`,
  saidFor: 'More rest days in the week. Good before trips and exams.',
  saidAgainst: 'The sessions that remain are as hard as before.',
  weeks: ({ days }) => [{ do: [{ kind: 'fewerDays', days }] }],
  examples: [
    {
      say: 'the sessions that remain stay as written',
      params: { days: 2 },
      want: { sets: 4, load: 80, rir: 2 },
    },
  ],
})
