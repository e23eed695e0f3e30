import { strictObject, wholeField } from '../reading/index.ts'
import { defineSign } from './sign.ts'

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
      run: { exposures: 6, recent: [], heaviest: null },
      want: true,
    },
    {
      say: 'the fifth of six',
      params: { count: 6 },
      run: { exposures: 5, recent: [], heaviest: null },
      want: false,
    },
  ],
})
