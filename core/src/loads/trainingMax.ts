import { declareSteps } from '../words/index.ts'
import { percentField, strictObject } from '../parsing/index.ts'
import { formatNumber, scale } from '../units/index.ts'
import { maxStep } from './maxStep.ts'
import { defineSource, percentBefore } from './source.ts'

const say = declareSteps({
  'trainingMax.is': 'training max, {percent}% of the 1RM: {load}',
  'trainingMax.percent': '{percent}% of the training max',
})

/** Percent of the training max, which is the template's stated percent of the one-rep max in force. */
export const trainingMax = defineSource<{ percent: number }>({
  of: 'trainingMax',
  title: 'Percent of the training max',
  computes: true,
  isPercentage: true,
  params: strictObject({ percent: percentField().required() }),
  cell: ({ percent }) => `${formatNumber(percent)}% TM`,
  read(typed) {
    const percent = percentBefore(typed, /^tm$/)
    return percent === null ? null : { percent }
  },
  readsMax: (lift) => lift,
  price({ lift, max, trainingMax: share }, { percent }) {
    if (!max) return { need: 'max', lift }
    if (share === undefined) throw new Error('missing trainingMax of the template')
    const base = scale(max.load, share)
    const training = say('trainingMax.is', { percent: share, load: base })
    return {
      base,
      percent,
      most: max.load,
      steps: [maxStep(max), training, say('trainingMax.percent', { percent })],
    }
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
  ],
})
