import { strictObject, wholeField } from '../parsing/index.ts'
import { defineTrigger, freshRun, longestRecent, type Run } from './trigger.ts'

/** The technique was marked good in so many exposures in a row, each of them a hit; one without a mark is none. */
export const techniqueHeld = defineTrigger<{ exposures: number }>({
  kind: 'techniqueHeld',
  title: 'Good technique held',
  params: strictObject({ exposures: wholeField('exposures in a row', 1, longestRecent).required() }),
  fields: {
    exposures: {
      label: 'Hits in a row with good technique',
      unit: 'sessions',
      hint: 'Hits without a rating do not count.',
    },
  },
  sentence: ({ exposures }) =>
    exposures === 1
      ? 'when a hit has a good technique rating'
      : `when ${exposures} hits in a row have a good technique rating`,
  fires: ({ recent }, { exposures }) =>
    recent.length >= exposures &&
    recent.slice(0, exposures).every(({ verdict, technique }) => verdict === 'hit' && technique === 'good'),
  examples: [
    {
      say: 'two good ones in a row',
      params: { exposures: 2 },
      run: marked('good', 'good', 'poor'),
      want: true,
    },
    {
      say: 'no rating is not a good rating',
      params: { exposures: 2 },
      run: marked('good', undefined),
      want: false,
    },
  ],
})

function marked(...marks: ('good' | 'poor' | undefined)[]): Run {
  const recent = marks.map((technique) => ({ verdict: 'hit' as const, ...(technique && { technique }) }))
  return { ...freshRun, exposures: marks.length, recent }
}
