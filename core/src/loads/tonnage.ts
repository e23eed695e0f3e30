import { mostTableReps, percentFor, repTableTitle } from '../maxes/table.ts'
import { numberField, strictObject } from '../reading/index.ts'
import { formatNumber, scale, snap } from '../units/index.ts'
import { maxRung } from './maxRung.ts'
import { defineSource } from './source.ts'

/**
 * A load that makes sets × reps × load come to so many times the lift's max: 20 times 100 kg over 5 × 5 is 80 kg. Never more
 * than the template's table allows for the reps; the tonnage then falls short, and says so.
 */
export const tonnage = defineSource<{ times: number }>({
  of: 'tonnage',
  title: 'A tonnage',
  computes: true,
  readsReps: true,
  params: strictObject({ times: numberField('how many times the 1RM, 1 to 200', 1, 200).required() }),
  cell: ({ times }) => `${formatNumber(times)}× max in all`,
  read(typed) {
    const match = /^(\d+(?:[.,]\d+)?)\s*[x×]\s*max(?: in all)?$/.exec(typed)
    return match ? { times: Number(match[1]?.replace(',', '.')) } : null
  },
  readsMax: (lift) => lift,
  price({ lift, max, asked, table = 'handbook' }, { times }) {
    if (!max) return { need: 'max', lift }
    const { sets = 1, reps = 1, rir = 0 } = asked ?? {}
    const percent = snap((times * 100) / (sets * reps))
    const most = percentFor(table, Math.min(reps + rir, mostTableReps))
    const target = scale(max.load, times * 100)
    const rungs = [
      maxRung(max),
      { id: 'tonnage.target', data: { times, target } },
      { id: 'tonnage.share', data: { sets, reps, percent } },
    ]
    if (percent <= most) return { base: max.load, percent, most: max.load, rungs }
    const held = { id: 'tonnage.held', data: { most, reps, table: repTableTitle(table) } }
    return { base: max.load, percent: most, most: max.load, rungs: [...rungs, held] }
  },
  messages: {
    'tonnage.target': '{times} times it in all: {target}',
    'tonnage.share': 'over {sets} × {reps} that is {percent}% of the 1RM',
    'tonnage.held': 'more than {reps} reps allow ({table}): {most}%, and the tonnage is not reached',
  },
  examples: [
    {
      say: '20 times 100 kg over 5 × 5 is 80 kg',
      params: { times: 20 },
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 5, sets: 5 },
      },
      want: { value: 80, unit: 'kg' },
    },
    {
      say: '20 times over 3 × 5 would be 133%: five reps allow 87%',
      params: { times: 20 },
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 5, sets: 3 },
      },
      want: { value: 87, unit: 'kg' },
    },
  ],
})
