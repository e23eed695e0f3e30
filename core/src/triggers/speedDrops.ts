import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun, longestRecent, type Run } from './trigger.ts'

/** The stop sign of the sets ended them early in so many of the last exposures: the bar no longer moves as it did. */
export const speedDrops = defineTrigger<{ times: number; of: number }>({
  kind: 'speedDrops',
  title: 'Sets end early',
  params: strictObject({
    times: wholeField('exposures whose sets were ended early', 1, longestRecent).required(),
    of: wholeField('exposures looked back', 1, longestRecent).required(),
  }).test('fits', '"of" at least as many as "times"', ({ times, of }) => of >= times),
  fields: {
    times: {
      label: 'Sessions that ended early',
      unit: 'sessions',
      hint: 'Their stop rule ended the sets early.',
    },
    of: { label: 'Out of the last', unit: 'sessions', hint: 'How many sessions are looked at.' },
  },
  sentence: ({ times, of }) =>
    `when the stop trigger ended the sets early in ${times} of the last ${of} exposures`,
  fires: ({ recent }, { times, of }) => recent.slice(0, of).filter(({ ended }) => ended).length >= times,
  examples: [
    {
      say: 'twice in the last three',
      params: { times: 2, of: 3 },
      run: sets('ended', 'whole', 'ended'),
      want: true,
    },
    { say: 'once', params: { times: 2, of: 3 }, run: sets('whole', 'whole', 'ended'), want: false },
  ],
})

function sets(...how: ('ended' | 'whole')[]): Run {
  const recent = how.map((one) => ({
    verdict: 'hit' as const,
    ...(one === 'ended' && { ended: true as const }),
  }))
  return { ...freshRun, exposures: how.length, recent }
}
