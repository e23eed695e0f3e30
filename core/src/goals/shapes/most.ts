import { choiceField, strictObject, wholeField } from '../../parsing/index.ts'

export const most = strictObject({
  most: choiceField(['reps', 'rounds']).required(),
  seconds: wholeField('seconds', 10, 7200).required(),
  beat: wholeField('what is to be beaten', 1, 10000),
})
