import { strictObject, wholeField } from '../reading/index.ts'
import { defineSign, freshRun } from './sign.ts'

/** So many exposures, however they went. */
export const exposures = defineSign<{ count: number }>({
  kind: 'exposures',
  title: 'So many exposures',
  params: strictObject({ count: wholeField('exposures', 1, 500).required() }),
  sentence: ({ count }) => `after ${count} ${count === 1 ? 'exposure' : 'exposures'}`,
  shows: (run, { count }) => run.exposures >= count,
  examples: [
    {
      say: 'the sixth of six',
      params: { count: 6 },
      run: { ...freshRun, exposures: 6 },
      want: true,
    },
    {
      say: 'the fifth of six',
      params: { count: 6 },
      run: { ...freshRun, exposures: 5 },
      want: false,
    },
  ],
})
