import { liftKey, type Lift } from '../library/index.ts'
import { liftFields } from '../member/index.ts'
import { idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What names a slot of an enrolment. */
export const choiceKey = (enrolment: Id, slot: Id): string => `${enrolment}/${slot}`

/** Which of the exercises that a slot offers an enrolment trains, from the next session. A later choice takes its place. */
export const choice = defineFact<{ enrolment: Id; slot: Id } & Lift, { choices: Record<string, string> }>({
  kind: 'choice',
  isGiven: true,
  shape: factShape({
    enrolment: idField('an enrolment’s id').required(),
    slot: idField('a slot').required(),
    ...liftFields,
  }),
  none: { choices: {} },
  learn: ({ choices }, { enrolment, slot, exercise, variant }) => ({
    choices: {
      ...choices,
      [choiceKey(enrolment, slot)]: liftKey({ exercise, ...(variant && { variant }) }),
    },
  }),
  examples: [
    {
      say: 'curls with dumbbells',
      fact: { enrolment: 'e', slot: 'arms', exercise: 'dumbbellCurl' },
      want: { choices: { 'e/arms': 'dumbbellCurl' } },
    },
  ],
})
