import { choiceField, spanField, strictObject } from '../../parsing/index.ts'
import { amraps } from '../reps.ts'

export const reps = strictObject({
  reps: spanField('reps', 100).required(),
  amrap: choiceField(amraps),
})
