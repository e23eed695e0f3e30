import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const fewerSets = defineDeload<{ percent: number }>({
  kind: 'fewerSets',
  title: 'Keep load, cut sets',
  params: strictObject({ percent: wholeField('percent off the sets', 25, 60).required() }),
  fields: {
    percent: { label: 'Fewer sets', unit: '%', hint: 'At least one set stays.' },
  },
  sentence: ({ percent }) => `Sets −${percent}%, at least one left; loads as they are.`,
  saidFor: 'The load stays familiar, and most of the tiredness comes from the number of sets.',
  saidAgainst: 'Aching joints still carry the heavy bar.',
  weeks: ({ percent }) => [{ do: [{ kind: 'scaleSets', by: -percent, round: 'down' }] }],
  examples: [
    { say: 'half of four sets', params: { percent: 50 }, want: { sets: 2, load: 80, rir: 2 } },
    {
      say: 'a third of four sets: down to two',
      params: { percent: 33 },
      want: { sets: 2, load: 80, rir: 2 },
    },
  ],
})
