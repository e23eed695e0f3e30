import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun } from './trigger.ts'

/** No heavier load has been a hit for so many exposures, whatever cuts and climbs there were between. */
export const outgrown = defineTrigger<{ exposures: number }>({
  kind: 'outgrown',
  title: 'No heavier hit',
  params: strictObject({ exposures: wholeField('exposures without a heavier hit', 2, 100).required() }),
  fields: {
    exposures: {
      label: 'Sessions without a heavier hit',
      unit: 'sessions',
      hint: 'Cuts and climbs back count too.',
    },
  },
  sentence: ({ exposures }) => `after ${exposures} sessions without a heavier hit`,
  fires: ({ sinceBest }, { exposures }) => sinceBest >= exposures,
  examples: [
    {
      say: 'nine exposures of cuts and climbs, and none beat the best',
      params: { exposures: 9 },
      run: { ...freshRun, exposures: 30, heaviest: { value: 100, unit: 'kg' }, sinceBest: 9 },
      want: true,
    },
    {
      say: 'a heavier hit three exposures ago',
      params: { exposures: 9 },
      run: { ...freshRun, exposures: 30, heaviest: { value: 100, unit: 'kg' }, sinceBest: 3 },
      want: false,
    },
  ],
})
