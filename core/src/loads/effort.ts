import { mostTableReps, percentFor, repTableTitle } from '../maxes/table.ts'
import { strictObject } from '../reading/index.ts'
import { maxRung } from './maxRung.ts'
import { defineSource } from './source.ts'

/**
 * By effort alone: what the 1RM allows for the reps that are asked and those left in reserve, by the template's table of
 * percents for reps. 5 reps with 2 left are read as 7.
 */
export const effort = defineSource<object>({
  of: 'effort',
  title: 'By reps and reserve',
  computes: true,
  params: strictObject({}),
  cell: () => 'by effort',
  read: (typed) => (typed === 'effort' || typed === 'by effort' ? {} : null),
  price({ lift, max, asked, table = 'handbook' }) {
    if (!max) return { need: 'max', lift }
    const { reps = 1, rir = 0 } = asked ?? {}
    const counted = Math.min(reps + rir, mostTableReps)
    const percent = percentFor(table, counted)
    const data = { reps, reserve: rir, percent, table: repTableTitle(table) }
    return { base: max.load, percent, rungs: [maxRung(max), { id: 'effort.table', data }] }
  },
  messages: {
    'effort.table': '{reps} reps with {reserve} left in reserve: {percent}% of it ({table})',
  },
  examples: [
    {
      say: 'five reps with two left are seven: 83% of 100 kg by the handbook',
      params: {},
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 5, rir: 2 },
      },
      want: { value: 83, unit: 'kg' },
    },
    {
      say: 'by Epley, the other way round, six reps are 83.3333%',
      params: {},
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 6 },
        table: 'epley',
      },
      want: { value: 83.3333, unit: 'kg' },
    },
  ],
})
