import { strictObject, wholeField } from '../../parsing/index.ts'

export const totalReps = strictObject({ totalReps: wholeField('reps in all sets', 2, 500).required() })
