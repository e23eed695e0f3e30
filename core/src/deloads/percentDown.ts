import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const percentDown = defineDeload<{ points: number }>({
  kind: 'percentDown',
  title: 'Percentages down by points',
  params: strictObject({ points: wholeField('percentage points', 5, 30).required() }),
  fields: {
    points: { label: 'Lower percentage', unit: 'points', hint: '10 points turn 80% into 70%.' },
  },
  sentence: ({ points }) =>
    `Percentages down by ${points} points: 80% becomes ${80 - points}%, which is less by more than ${points} percent of the load.`,
  saidFor: 'The loads stay fairly familiar, and every exercise is still done.',
  saidAgainst:
    'Sets and reps stay, so sessions are as long as before. Loads that are not percentages do not change.',
  weeks: ({ points }) => [{ do: [{ kind: 'points', by: -points }] }],
  examples: [
    { say: 'ten points of 80% leave 70%', params: { points: 10 }, want: { sets: 4, load: 70, rir: 2 } },
  ],
})
