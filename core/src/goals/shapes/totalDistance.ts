import { choiceField, numberField, strictObject, trueField } from '../../parsing/index.ts'
import { distanceUnits } from '../../units/index.ts'

export const totalDistance = strictObject({
  totalDistance: numberField('a distance above 0, at most 100000', 0.01, 100_000).required(),
  unit: choiceField(distanceUnits).required(),
  anySets: trueField('true, for as many sets as it takes'),
})
