import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun } from './trigger.ts'

/** So many exposures, however they went. */
export const exposures = defineTrigger<{ count: number }>({
  kind: 'exposures',
  title: 'So many exposures',
  params: strictObject({ count: wholeField('exposures', 1, 500).required() }),
  sentence: ({ count }) => `after ${count} ${count === 1 ? 'exposure' : 'exposures'}`,
  fires: (run, { count }) => run.exposures >= count,
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
