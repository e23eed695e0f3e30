import { declareSteps } from '../words/index.ts'
import { exerciseField, percentField, strictObject, textField } from '../parsing/index.ts'
import { exerciseNamed, liftName, type ExerciseId } from '../library/index.ts'
import { formatNumber } from '../units/index.ts'
import { maxStep } from './maxStep.ts'
import { defineSource } from './source.ts'

const say = declareSteps({ 'otherMax.of': '{percent}% of the {lift} max' })

type Params = { exercise: ExerciseId; variant?: string; percent: number }

/** Percent of another lift's max: front squats at 85% of the back squat. */
export const otherMax = defineSource<Params>({
  of: 'otherMax',
  title: 'Percent of another lift’s max',
  computes: true,
  isPercentage: true,
  params: strictObject({
    exercise: exerciseField().required(),
    variant: textField('a variant', 60),
    percent: percentField().required(),
  }),
  cell: ({ percent, ...lift }, library) =>
    `${formatNumber(percent)}% of ${liftName(library, lift).toLowerCase()}`,
  read(typed, library) {
    const match = /^(\d+(?:[.,]\d+)?)\s*%?\s*of\s+(.+)$/.exec(typed)
    const exercise = exerciseNamed(library, match?.[2] ?? '')
    return match && exercise ? { exercise, percent: Number(match[1]?.replace(',', '.')) } : null
  },
  readsMax: (_, { exercise, variant }) => [{ exercise, ...(variant && { variant }) }],
  price({ library, maxOf }, { exercise, variant, percent }) {
    const lift = { exercise, ...(variant && { variant }) }
    const max = maxOf?.(lift)
    if (!max) return { need: 'max', lift }
    const of = say('otherMax.of', { percent, lift: liftName(library, lift).toLowerCase() })
    return { base: max.load, percent, isOther: true, steps: [maxStep(max), of] }
  },
  messages: say.messages,
  examples: [
    {
      say: '85% of a back squat of 120 kg is 102 kg',
      params: { exercise: 'backSquat', percent: 85 },
      known: {
        lift: { exercise: 'frontSquat' },
        maxOf: () => ({ load: { value: 120, unit: 'kg' }, date: '2026-03-02', how: 'tested' }),
      },
      want: { value: 102, unit: 'kg' },
    },
    {
      say: 'without that lift’s max, that one is asked for',
      params: { exercise: 'backSquat', percent: 85 },
      known: { lift: { exercise: 'frontSquat' }, maxOf: () => null },
      want: { need: 'max', lift: { exercise: 'backSquat' } },
    },
  ],
})
