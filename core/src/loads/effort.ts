import { declareSteps } from '../words/index.ts'
import { mostTableReps, percentFor, repTableTitle, writtenReps } from '../maxes/index.ts'
import { numberField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber, snap } from '../units/index.ts'
import { maxStep } from './maxStep.ts'
import { defineSource } from './source.ts'

const say = declareSteps({
  'effort.table': '{reps} reps @ {reserve} RIR: {percent}% of the 1RM ({table})',
  'effort.beyond': 'above {written} reps the table goes on as the Epley formula does, to {most} reps',
  'effort.short': 'a rest of {rest} seconds is short: {less}% less',
})

/**
 * By effort alone: what the 1RM allows for the reps that are asked and the RIR, by the template's table of
 * percents for reps, which is continued above 15 reps, up to 40. 5 reps @ 2 RIR are read as 7. The rungs of a rising pyramid are prescriptions of this kind, each priced by
 * its own reps and reserve; with `less`, those that follow a rest of less than `under` seconds are lowered by so many percent.
 */
export const effort = defineSource<{ less?: number; under?: number }>({
  of: 'effort',
  title: 'By reps and RIR',
  computes: true,
  isPercentage: true,
  readsReps: true,
  params: strictObject({
    less: numberField('percent of the load, 1 to 30', 1, 30),
    under: wholeField('seconds of rest', 1, 600),
  }).test(
    'fits',
    '"less" and "under" together',
    ({ less, under }) => (less === undefined) === (under === undefined),
  ),
  cell: ({ less, under }) =>
    less === undefined ? 'by effort' : `by effort −${formatNumber(less)}% under ${under}s`,
  read(typed) {
    const short = /^(?:by )?effort\s*[-−]\s*(\d+(?:[.,]\d+)?)\s*% under (\d+)\s*s$/.exec(typed)
    if (short) return { less: Number(short[1]?.replace(',', '.')), under: Number(short[2]) }
    return typed === 'effort' || typed === 'by effort' ? {} : null
  },
  readsMax: (lift) => [lift],
  price({ lift, max, asked, table = 'handbook' }, { less, under }) {
    if (!max) return { need: 'max', lift }
    const { reps = 1, rir = 0, rest } = asked ?? {}
    const counted = Math.min(reps + rir, mostTableReps)
    const percent = percentFor(table, counted)
    const data = { reps, reserve: rir, percent, table: repTableTitle(table) }
    const beyond = say('effort.beyond', { written: writtenReps, most: mostTableReps })
    const steps = [maxStep(max), say('effort.table', data), ...(reps + rir > writtenReps ? [beyond] : [])]
    if (less === undefined || under === undefined || rest === undefined || rest >= under)
      return { base: max.load, percent, most: max.load, steps }
    const lowered = say('effort.short', { rest, less })
    return {
      base: max.load,
      percent: snap((percent * (100 - less)) / 100),
      most: max.load,
      steps: [...steps, lowered],
    }
  },
  messages: say.messages,
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
      say: 'by Epley, inverted, six reps are 83.3333%',
      params: {},
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 6 },
        table: 'epley',
      },
      want: { value: 83.3333, unit: 'kg' },
    },
    {
      say: 'twenty reps with ten left are thirty: the handbook’s 65% for 15, continued, is 48.75%',
      params: {},
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 20, rir: 10 },
      },
      want: { value: 48.75, unit: 'kg' },
    },
    {
      say: 'after a short rest five percent less: 87% becomes 82.65%',
      params: { less: 5, under: 120 },
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        asked: { reps: 5, rest: 90 },
      },
      want: { value: 82.65, unit: 'kg' },
    },
  ],
})
