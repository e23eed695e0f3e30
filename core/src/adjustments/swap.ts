import { declareSteps } from '../words/index.ts'
import { exerciseField, strictObject, textField } from '../parsing/index.ts'
import { liftName, type ExerciseId, type Lift } from '../library/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'swap.to': '{author}: {lift} instead' })

/** Another exercise in the slot, with maxes and a progression state of its own. */
export const swap = defineChange<{ exercise: ExerciseId; variant?: string }>({
  kind: 'swap',
  title: 'Another exercise',
  params: strictObject({ exercise: exerciseField().required(), variant: textField('a variant', 60) }),
  lightens: () => false,
  fields: {
    exercise: { label: 'Other exercise', unit: null, hint: 'Its loads come from its own max.' },
    variant: { label: 'Variant', unit: null, hint: 'A grip, a stance or a range, with its own max.' },
  },
  sentence: (to, library) => `${liftName(library, to)} instead`,
  onSlot(line, { exercise, variant }, author, library) {
    const lift: Lift = { exercise, ...(variant && { variant }) }
    return {
      now: { ...line, lift },
      step: say('swap.to', { author, lift: liftName(library, lift) }),
    }
  },
  messages: say.messages,
  examples: [
    {
      say: 'front squats in place of the exercise',
      params: { exercise: 'frontSquat' },
      slot: { id: 'squat' },
      want: { id: 'squat', lift: { exercise: 'frontSquat' } },
    },
  ],
})
