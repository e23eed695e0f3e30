import { choiceField, strictObject, textField, wholeField } from '../../parsing/index.ts'
import { counts } from '../open.ts'

export const task = strictObject({
  task: textField('what is to be done', 120).required(),
  minutes: wholeField('minutes', 1, 240),
  result: choiceField(counts),
})
