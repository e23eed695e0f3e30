import { strictObject, trueField, wholeField } from '../../parsing/index.ts'

export const totalReps = strictObject({
  totalReps: wholeField('reps in all sets', 2, 500).required(),
  anySets: trueField('true, for as many sets as it takes'),
})
