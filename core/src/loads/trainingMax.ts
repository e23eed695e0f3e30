import { declareSteps } from '../words/index.ts'
import { scale } from '../units/index.ts'
import { maxStep } from './maxStep.ts'
import { bandBefore, bandParams, formatBand, type Band } from './band.ts'
import { defineSource, type Priced } from './source.ts'

const say = declareSteps({
  'trainingMax.is': 'training max, {percent}% of the 1RM: {load}',
  'trainingMax.percent': '{percent}% of the training max',
  'trainingMax.band': '{percent}% to {to}% of the training max',
})

/** Percent of the training max, which is the template's stated percent of the one-rep max in force. */
export const trainingMax = defineSource<Band>({
  of: 'trainingMax',
  title: 'Percent of the training max',
  computes: true,
  isPercentage: true,
  params: bandParams(),
  cell: (band) => `${formatBand(band)} TM`,
  read: (typed) => bandBefore(typed, /^tm$/),
  readsMax: (lift) => [lift],
  price({ lift, max, trainingMax: share }, { percent, to }) {
    if (!max) return { need: 'max', lift }
    if (share === undefined) throw new Error('missing trainingMax of the template')
    const base = scale(max.load, share)
    const training = say('trainingMax.is', { percent: share, load: base })
    const stated =
      to === undefined ? say('trainingMax.percent', { percent }) : say('trainingMax.band', { percent, to })
    const priced: Priced = { base, percent, most: max.load, steps: [maxStep(max), training, stated] }
    if (to !== undefined) priced.to = to
    return priced
  },
  messages: say.messages,
  examples: [
    {
      say: '85% of a 90% training max of 100 kg is 76.5 kg',
      params: { percent: 85 },
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        trainingMax: 90,
      },
      want: { value: 76.5, unit: 'kg' },
    },
    {
      say: 'a band from 85 to 90% begins at 76.5 kg',
      params: { percent: 85, to: 90 },
      known: {
        max: { load: { value: 100, unit: 'kg' }, date: '2026-03-02', how: 'tested' },
        trainingMax: 90,
      },
      want: { value: 76.5, unit: 'kg' },
    },
  ],
})
