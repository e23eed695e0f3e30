import { declareSteps } from '../words/index.ts'
import { formatNumber } from '../units/index.ts'
import { percentField, strictObject } from '../parsing/index.ts'
import { defineSource, percentBefore } from './source.ts'
import { maxStep, sayMax } from './maxStep.ts'

const say = declareSteps({ ...sayMax.messages, 'max.percent': '{percent}% of the 1RM' })

/** Percent of the one-rep max in force, tested or accepted from an estimate. */
export const max = defineSource<{ percent: number }>({
  of: 'max',
  title: 'Percent of the 1RM',
  computes: true,
  isPercentage: true,
  params: strictObject({ percent: percentField().required() }),
  cell: ({ percent }) => `${formatNumber(percent)}%`,
  read(typed) {
    const percent = percentBefore(typed, /^1rm$/)
    return percent === null ? null : { percent }
  },
  readsMax: (lift) => lift,
  price({ lift, max }, { percent }) {
    if (!max) return { need: 'max', lift }
    const steps = [maxStep(max), say('max.percent', { percent })]
    return { base: max.load, percent, most: max.load, steps }
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
      say: 'without a max it asks for one',
      params: { percent: 75 },
      known: { max: null, lift: { exercise: 'backSquat' } },
      want: { need: 'max', lift: { exercise: 'backSquat' } },
    },
  ],
})
