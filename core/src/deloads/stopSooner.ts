import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const stopSooner = defineDeload<{ rir: number }>({
  kind: 'stopSooner',
  title: 'Same load, stop sooner',
  params: strictObject({ rir: wholeField('RIR', 4, 8).required() }),
  fields: {
    rir: { label: 'Stop with at least', unit: 'RIR', hint: 'So many more reps possible.' },
  },
  sentence: ({ rir }) => `The same load, each set stopped at ${rir} RIR or more.`,
  saidFor: 'Nothing to calculate, and skill is kept at the load of the phase.',
  saidAgainst: 'It depends on honest RIR; sets of few reps leave little room to stop short.',
  weeks: ({ rir }) => [{ do: [{ kind: 'rirAtLeast', rir }] }],
  examples: [{ say: '2 RIR become 4', params: { rir: 4 }, want: { sets: 4, load: 80, rir: 4 } }],
})
