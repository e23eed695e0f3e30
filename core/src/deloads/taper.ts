import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

type Params = {
  /** Weeks before and with the test's own, 1 to 4: days for novices, up to about four weeks for the strongest (common practice). */
  weeks: number
  /** Percent off the sets in the week of the test; less in the weeks before, in even steps. */
  percent: number
}

/** Counted back from the test day: loads stay high, sets fall towards it. */
export const taper = defineDeload<Params>({
  kind: 'taper',
  title: 'Taper before a test',
  params: strictObject({
    weeks: wholeField('weeks, the one of the test among them', 1, 4).required(),
    percent: wholeField('percent off the sets in the week of the test', 30, 70).required(),
  }),
  fields: {
    weeks: { label: 'Length', unit: 'weeks', hint: 'The test week counts.' },
    percent: { label: 'Fewer sets in the test week', unit: '%', hint: 'The weeks before it are in between.' },
  },
  sentence: ({ weeks, percent }) =>
    `Loads stay, sets fall over ${weeks === 1 ? 'the week of the test' : `the last ${weeks} weeks`}: ${cuts(weeks, percent).join('%, ')}% off.`,
  saidFor: 'Strength shows when rested: high loads keep the skill, fewer sets remove the tiredness.',
  saidAgainst: 'Too long for novices, who lose more practice than tiredness.',
  weeks: ({ weeks, percent }) =>
    cuts(weeks, percent).map((cut, i) => ({
      toTest: weeks - 1 - i,
      do: [{ kind: 'scaleSets', by: -cut, round: 'down' }],
    })),
  examples: [
    {
      say: 'three weeks to 60% off: 20% off the first of them',
      params: { weeks: 3, percent: 60 },
      want: { sets: 3, load: 80, rir: 2 },
    },
    {
      say: 'the week of the test alone',
      params: { weeks: 1, percent: 50 },
      want: { sets: 2, load: 80, rir: 2 },
    },
  ],
})

const cuts = (weeks: number, percent: number): number[] =>
  Array.from({ length: weeks }, (_, i) => Math.round((percent * (i + 1)) / weeks))
