import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun } from './trigger.ts'

/** A number of sessions, however they went. */
export const exposures = defineTrigger<{ count: number }>({
  kind: 'exposures',
  title: 'A number of sessions',
  params: strictObject({ count: wholeField('exposures', 1, 500).required() }),
  fields: {
    count: {
      label: 'Sessions with the lift',
      unit: 'sessions',
      hint: 'Counted from the start of the progression or phase.',
    },
  },
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
