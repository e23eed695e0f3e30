import { declareSteps } from '../words/index.ts'
import { bandBefore, bandParams, formatBand, type Band } from './band.ts'
import { defineSource, type Priced } from './source.ts'
import { maxStep, sayMax } from './maxStep.ts'

const say = declareSteps({
  ...sayMax.messages,
  'max.percent': '{percent}% of the 1RM',
  'max.band': '{percent}% to {to}% of the 1RM',
})

/** Percent of the one-rep max in force, tested or accepted from an estimate. */
export const max = defineSource<Band>({
  of: 'max',
  title: 'Percent of the 1RM',
  computes: true,
  isPercentage: true,
  params: bandParams(),
  cell: formatBand,
  read: (typed) => bandBefore(typed, /^1rm$/),
  readsMax: (lift) => [lift],
  price({ lift, max }, { percent, to }) {
    if (!max) return { need: 'max', lift }
    const stated = to === undefined ? say('max.percent', { percent }) : say('max.band', { percent, to })
    const priced: Priced = { base: max.load, percent, most: max.load, steps: [maxStep(max), stated] }
    if (to !== undefined) priced.to = to
    return priced
  },
  messages: say.messages,
  examples: [
    {
      say: '75% of a 100 kg max is 75 kg',
      params: { percent: 75 },
      known: { max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' } },
      want: { value: 75, unit: 'kg' },
    },
    {
      say: 'a band from 75 to 80% begins at 75 kg',
      params: { percent: 75, to: 80 },
      known: { max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' } },
      want: { value: 75, unit: 'kg' },
    },
    {
      say: 'without a max it asks for one',
      params: { percent: 75 },
      known: { max: null, lift: { exercise: 'backSquat' } },
      want: { need: 'max', lift: { exercise: 'backSquat' } },
    },
  ],
})
