import { choiceField, numberField, spanField, strictObject } from '../../parsing/index.ts'
import { distanceUnits } from '../../units/index.ts'

export const distance = strictObject({
  distance: numberField('a distance above 0, at most 100000', 0.01, 100_000).required(),
  unit: choiceField(distanceUnits).required(),
  trips: spanField('trips', 50, 2, { from: 2, to: 4 }),
})
