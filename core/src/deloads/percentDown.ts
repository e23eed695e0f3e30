import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const percentDown = defineDeload<{ points: number }>({
  kind: 'percentDown',
  title: 'Percentages down by points',
  params: strictObject({ points: wholeField('percentage points', 5, 30).required() }),
  sentence: ({ points }) =>
    `Percentages down by ${points} points: 80% becomes ${80 - points}%, which is less by more than ${points} percent of the load.`,
  saidFor: 'The bar stays familiar, and everything in the phase is still done.',
  saidAgainst:
    'Sets and reps stay, so the week is as long as ever, and it does nothing where loads are no percents.',
  weeks: ({ points }) => [{ do: [{ kind: 'points', by: -points }] }],
  examples: [
    { say: 'ten points of 80% leave 70%', params: { points: 10 }, want: { sets: 4, load: 70, left: 2 } },
  ],
})
