import { type WhyStep, declareSteps } from '../words/index.ts'
import { numberField, strictObject } from '../parsing/index.ts'
import { formatNumber } from '../units/index.ts'
import { defineSource, percentBefore } from './source.ts'

const say = declareSteps({
  'bodyWeight.is': 'body weight {load}',
  'bodyWeight.percent': '{percent}% of body weight',
})

/**
 * Percent of body weight: a squat at 100% of it; or, of a body-weight exercise, the whole load, so that 110% is a tenth of the
 * body added, and 80% a fifth of it taken off.
 */
export const bodyWeight = defineSource<{ percent: number }>({
  of: 'bodyWeight',
  title: 'Percent of body weight',
  computes: true,
  isPercentage: true,
  params: strictObject({
    percent: numberField('percent of body weight, 5 to 400', 5, 400).required(),
  }),
  cell: ({ percent }) => `${formatNumber(percent)}% BW`,
  read(typed) {
    const percent = percentBefore(typed, /^(bw|body ?weight)$/)
    return percent === null ? null : { percent }
  },
  price({ lift, body }, { percent }) {
    if (!body) return { need: 'bodyWeight', lift }
    const steps: WhyStep[] = [say('bodyWeight.is', { load: body }), say('bodyWeight.percent', { percent })]
    return { base: body, percent, steps }
  },
  messages: say.messages,
  examples: [
    {
      say: '1.0 × body weight at 78 kg is 78 kg',
      params: { percent: 100 },
      known: { body: { value: 78, unit: 'kg' } },
      want: { value: 78, unit: 'kg' },
    },
    {
      say: 'without a body weight it asks for one',
      params: { percent: 100 },
      known: { lift: { exercise: 'pullUp' } },
      want: { need: 'bodyWeight', lift: { exercise: 'pullUp' } },
    },
  ],
})
