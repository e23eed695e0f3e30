import { strictObject, wholeField } from '../../parsing/index.ts'

export const rounds = strictObject({
  rounds: wholeField('rounds', 1, 100).required(),
  every: wholeField('seconds from the start of one to the next', 10, 900),
  capSeconds: wholeField('seconds at most', 30, 7200),
}).test('fits', 'only one of "every" and "capSeconds"', ({ every, capSeconds }) => !every || !capSeconds)
