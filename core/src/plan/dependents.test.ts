import { expect, test } from '@jest/globals'
import { readFixture } from '../../fixtures/read.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { dependentsOf, offeredRatios } from './index.ts'

const squats = readFixture('two-variants-of-one-lift').versions.template as Template
const front: Template = {
  ...squats,
  slots: {
    ...squats.slots,
    box: { ...squats.slots.box, exercise: 'frontSquat', variant: undefined } as never,
  },
}

test('what depends on a max is named by its session, once', () => {
  expect(dependentsOf(front).frontSquat).toEqual([{ session: 'Session A', slot: 'Front squat' }])
})

test('a lift that the template reads a max of is offered its parent’s, where the library has one and none is tied yet', () => {
  // A front squat begins at 82% of the back squat, as the library has it (common practice, no source); a variant has no ratio there.
  const offered = offeredRatios(front)
  expect(offered).toEqual([{ lift: { exercise: 'frontSquat' }, of: { exercise: 'backSquat' }, percent: 82 }])
  expect(offeredRatios(squats)).toEqual([])
  const tied = { ...front, maxes: { ...front.maxes, ratios: offered } }
  expect(offeredRatios(tied)).toEqual([])
  expect(readTemplate(JSON.parse(JSON.stringify(tied))).issues).toBeUndefined()
})
