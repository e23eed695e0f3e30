import { muscles, type ExerciseId, type Muscle } from '../library/index.ts'
import { choiceField, exerciseField, listField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What somebody wants most from training: muscles and lifts. */
export type Priorities = { muscles: Muscle[]; lifts: ExerciseId[] }

/** A later entry takes the place of all of it. */
export const priorities = defineFact<Priorities, { priorities: Priorities }>({
  kind: 'priorities',
  isGiven: true,
  shape: factShape({
    muscles: listField('muscles', muscles.length, 0).of(choiceField(muscles).required()).required(),
    lifts: listField('exercises', 10, 0).of(exerciseField().required()).required(),
  }),
  none: { priorities: { muscles: [], lifts: [] } },
  learn: (_, fact) => ({ priorities: { muscles: fact.muscles, lifts: fact.lifts } }),
  examples: [
    {
      say: 'back and the deadlift',
      fact: { muscles: ['back'], lifts: ['deadlift'] },
      want: { priorities: { muscles: ['back'], lifts: ['deadlift'] } },
    },
  ],
})
