import { strictObject, trueField, wholeField } from '../../parsing/index.ts'

export const totalSeconds = strictObject({
  totalSeconds: wholeField('seconds in all sets', 2, 7200).required(),
  anySets: trueField('true, for as many sets as it takes'),
})
