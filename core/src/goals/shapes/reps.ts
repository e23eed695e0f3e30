import { choiceField, spanField, strictObject } from '../../parsing/index.ts'

export const reps = strictObject({
  reps: spanField('reps', 100).required(),
  amrap: choiceField(['last', 'all']),
})
