import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const stopSooner = defineDeload<{ left: number }>({
  kind: 'stopSooner',
  title: 'Same load, stop sooner',
  params: strictObject({ left: wholeField('RIR', 4, 8).required() }),
  fields: {
    left: { label: 'Stop with at least', unit: 'RIR', hint: 'So many more reps possible.' },
  },
  sentence: ({ left }) => `The same load, each set stopped with at least ${left} left.`,
  saidFor: 'Nothing to calculate, and skill is kept at the load of the phase.',
  saidAgainst: 'It depends on honest RIR; sets of few reps leave little room to stop short.',
  weeks: ({ left }) => [{ do: [{ kind: 'rirAtLeast', rir: left }] }],
  examples: [{ say: 'two left become four', params: { left: 4 }, want: { sets: 4, load: 80, left: 4 } }],
})
