import { declareSteps } from '../words/index.ts'
import { percentField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber } from '../units/index.ts'
import { maxStep } from './maxStep.ts'
import { repMaxMessages, repMaxOf } from './repMaxOf.ts'
import { defineSource, percentBefore } from './source.ts'

const say = declareSteps({ ...repMaxMessages, 'repMax.percent': '{percent}% of the {reps}RM' })

/** Percent of the max for several reps: 90% of the 5RM. */
export const repMax = defineSource<{ reps: number; percent: number }>({
  of: 'repMax',
  title: 'Percent of an n-rep max',
  computes: true,
  isPercentage: true,
  params: strictObject({
    reps: wholeField('reps of the max', 2, 10).required(),
    percent: percentField().required(),
  }),
  cell: ({ reps, percent }) => `${formatNumber(percent)}% ${reps}RM`,
  read(typed) {
    const reps = Number(/(\d+)rm$/.exec(typed)?.[1])
    const percent = percentBefore(typed, /^([2-9]|10)rm$/)
    return percent === null ? null : { reps, percent }
  },
  readsMax: (lift) => [lift],
  price({ lift, max }, { reps, percent }) {
    if (!max) return { need: 'max', lift }
    const base = repMaxOf(max, reps)
    const steps = [maxStep(max), ...base.steps, say('repMax.percent', { reps, percent })]
    return { base: base.load, percent, most: max.load, steps }
  },
  messages: say.messages,
  examples: [
    {
      say: '90% of the 5RM of a 1RM of 116.6667 kg is 90 kg',
      params: { reps: 5, percent: 90 },
      known: { max: { load: { value: 116.6667, unit: 'kg' }, date: '2026-03-02', how: 'tested' } },
      want: { value: 90, unit: 'kg' },
    },
    {
      say: 'a max accepted from a set of five is that set',
      params: { reps: 5, percent: 100 },
      known: {
        max: {
          load: { value: 116.6667, unit: 'kg' },
          date: '2026-03-02',
          how: 'accepted estimate',
          from: { load: { value: 100, unit: 'kg' }, reps: 5, formula: 'epley' },
        },
      },
      want: { value: 100, unit: 'kg' },
    },
  ],
})
