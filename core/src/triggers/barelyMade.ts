import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun, longestRecent, type Run } from './trigger.ts'

/** So many hits in a row had nothing to spare in their last set: no RIR, the bottom of its range, or an AMRAP set without a rep beyond those asked. */
export const barelyMade = defineTrigger<{ exposures: number }>({
  kind: 'barelyMade',
  title: 'Barely made',
  params: strictObject({ exposures: wholeField('exposures in a row', 1, longestRecent).required() }),
  fields: {
    exposures: {
      label: 'Hits in a row that were barely made',
      unit: 'sessions',
      hint: 'The last set at 0 RIR, at the bottom of its range, or AMRAP without a rep beyond.',
    },
  },
  sentence: ({ exposures }) =>
    exposures === 1
      ? 'when a hit is barely made (last set at 0 RIR, or at the bottom of its range)'
      : `when ${exposures} hits in a row are barely made (last set at 0 RIR, or at the bottom of its range)`,
  fires: ({ recent }, { exposures }) =>
    recent.length >= exposures &&
    recent.slice(0, exposures).every(({ verdict, barely }) => verdict === 'hit' && barely === true),
  examples: [
    { say: 'two in a row', params: { exposures: 2 }, run: ran(true, true, false), want: true },
    { say: 'one of the last two', params: { exposures: 2 }, run: ran(true, false), want: false },
  ],
})

function ran(...barely: boolean[]): Run {
  const recent = barely.map((is) => ({ verdict: 'hit' as const, ...(is && { barely: is }) }))
  return { ...freshRun, exposures: barely.length, recent }
}
