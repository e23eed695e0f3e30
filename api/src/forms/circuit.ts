import { mixed, object, string, type InferType } from 'yup'
import { typed, typedWhole } from './typed.ts'

const rounds = 'Whole rounds, 1 to 100.'
const minutes = 'Minutes, 0.5 to 120.'

/** How a circuit is scored: by the time for its rounds, perhaps with a cap, or by the rounds within a time. */
export const circuitSchema = object({
  name: string().trim().required('Enter a name.').max(80, 'At most 80 characters.'),
  by: mixed<'time' | 'rounds'>().oneOf(['time', 'rounds']).required(),
  rounds: typedWhole(rounds, 1, 100).when('by', {
    is: 'time',
    then: (schema) => schema.required(rounds),
    otherwise: (schema) => schema.strip(),
  }),
  minutes: typed(minutes)
    .min(0.5, minutes)
    .max(120, minutes)
    .when('by', { is: 'rounds', then: (schema) => schema.required(minutes) }),
})
export type CircuitSettings = InferType<typeof circuitSchema>
