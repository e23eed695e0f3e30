import type { ExerciseId } from '../library/index.ts'
import { exerciseField, listField, textField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** Exercises that somebody likes to do, and in their own words what they have kept up for long. */
export type Enjoys = { exercises: ExerciseId[]; keptUp?: string }

/** A later entry takes the place of all of it. */
export const enjoys = defineFact<Enjoys, { enjoys: Enjoys }>({
  kind: 'enjoys',
  isGiven: true,
  shape: factShape({
    exercises: listField('exercises', 20, 0).of(exerciseField().required()).required(),
    keptUp: textField('what was kept up', 200),
  }),
  none: { enjoys: { exercises: [] } },
  learn: (_, { exercises, keptUp }) => ({ enjoys: { exercises, keptUp } }),
  examples: [
    {
      say: 'rowing for years, and pull-ups',
      fact: { exercises: ['pullUp'], keptUp: 'rowing on Sundays' },
      want: { enjoys: { exercises: ['pullUp'], keptUp: 'rowing on Sundays' } },
    },
  ],
})
