import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const fewerDays = defineDeload<{ days: number }>({
  kind: 'fewerDays',
  title: 'Fewer days',
  params: strictObject({ days: wholeField('sessions in the week', 1, 6).required() }),
  sentence: ({ days }) => `At most ${days} ${days === 1 ? 'session' : 'sessions'} in the week, as written.`,
  saidFor: 'The rest is where the tiredness is: in the week. Good before trips and exams.',
  saidAgainst: 'The sessions that stay are as hard as ever.',
  weeks: ({ days }) => [{ do: [{ kind: 'fewerDays', days }] }],
  examples: [
    {
      say: 'what is trained is trained as written',
      params: { days: 2 },
      want: { sets: 4, load: 80, left: 2 },
    },
  ],
})
