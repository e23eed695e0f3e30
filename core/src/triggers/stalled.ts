import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun, longestRecent, type Run } from './trigger.ts'

/** So many misses among the last exposures: in a row where both numbers are the same. */
export const stalled = defineTrigger<{ misses: number; of: number }>({
  kind: 'stalled',
  title: 'Stalled',
  params: strictObject({
    misses: wholeField('misses', 1, longestRecent).required(),
    of: wholeField('exposures looked back', 1, longestRecent).required(),
  }).test('fits', '"of" at least as many as "misses"', ({ misses, of }) => of >= misses),
  fields: {
    misses: { label: 'Misses', unit: 'sessions', hint: 'How many sessions were missed.' },
    of: { label: 'Out of the last', unit: 'sessions', hint: 'The same number as the misses means in a row.' },
  },
  sentence: ({ misses, of }) =>
    misses === of
      ? `when ${misses === 1 ? 'an exposure is' : `${misses} exposures in a row are`} missed`
      : `when ${misses} of the last ${of} exposures are missed`,
  fires: ({ recent }, { misses, of }) =>
    recent.slice(0, of).filter(({ verdict }) => verdict === 'miss').length >= misses,
  examples: [
    {
      say: 'two misses in a row',
      params: { misses: 2, of: 2 },
      run: went(['miss', 'miss', 'hit']),
      want: true,
    },
    {
      say: 'a hit between two misses is no row of them',
      params: { misses: 2, of: 2 },
      run: went(['miss', 'hit', 'miss']),
      want: false,
    },
    {
      say: 'two of the last three',
      params: { misses: 2, of: 3 },
      run: went(['miss', 'hit', 'miss']),
      want: true,
    },
  ],
})

function went(verdicts: Run['recent'][number]['verdict'][]): Run {
  return { ...freshRun, exposures: 5, recent: verdicts.map((verdict) => ({ verdict })) }
}
