import { spanField, strictObject, wholeField } from '../../parsing/index.ts'

export const cluster = strictObject({
  cluster: strictObject({
    first: spanField('reps of the first set', 50, 1, { from: 12, to: 15 }).required(),
    minis: spanField('short sets after it', 20, 1, { from: 3, to: 5 }).required(),
    then: spanField('reps of each', 30, 1, { from: 3, to: 4 }).required(),
    pause: wholeField('seconds between them', 5, 60).required(),
    countsAs: wholeField('how many straight sets it counts as', 1, 10).required(),
  })
    .default(undefined)
    .required()
    .meta({ expected: 'a cluster like {"first": 12, "minis": 4, "then": 4, "pause": 15, "countsAs": 3}' }),
})
