import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const oneEasySet = defineDeload<{ by: number; rir: number }>({
  kind: 'oneEasySet',
  title: 'One easy high-rep set',
  params: strictObject({
    by: wholeField('percent off the load', 30, 70).required(),
    rir: wholeField('RIR', 3, 8).required(),
  }),
  fields: {
    by: { label: 'Less load', unit: '%', hint: 'Off the load of the phase.' },
    rir: { label: 'Stop with at least', unit: 'RIR', hint: 'So many more reps possible.' },
  },
  sentence: ({ by, rir }) =>
    `One set of 15 to 20 at ${by}% less, stopped at ${rir} RIR or more; the load is outside what formulas are made for.`,
  saidFor: 'Blood flow and movement with very little strain.',
  saidAgainst: 'The lifts of the phase are not practised, and the load is a guess.',
  weeks: ({ by, rir }) => [{ do: [{ kind: 'highReps', from: 15, to: 20, rir, by: -by }] }],
  examples: [
    {
      say: 'four sets of six become one of 15 to 20 at half the load',
      params: { by: 50, rir: 3 },
      want: { sets: 1, load: 40, rir: 3 },
    },
  ],
})
