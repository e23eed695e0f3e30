import { strictObject, wholeField } from '../../parsing/index.ts'

export const rounds = strictObject({
  rounds: wholeField('rounds', 1, 100).required(),
  every: wholeField('seconds from the start of one to the next', 10, 900),
})
