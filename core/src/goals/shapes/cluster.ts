import { strictObject, wholeField } from '../../parsing/index.ts'

export const cluster = strictObject({
  cluster: strictObject({
    first: wholeField('reps of the first set', 1, 50).required(),
    minis: wholeField('short sets after it', 1, 20).required(),
    then: wholeField('reps of each', 1, 30).required(),
    pause: wholeField('seconds between them', 5, 60).required(),
    countsAs: wholeField('how many straight sets it counts as', 1, 10).required(),
  })
    .default(undefined)
    .required()
    .meta({ expected: 'a cluster like {"first": 12, "minis": 4, "then": 4, "pause": 15, "countsAs": 3}' }),
})
