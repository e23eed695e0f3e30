import { expect, test } from '@jest/globals'
import { readFixture } from '../../fixtures/read.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { dependentsOf, offeredRatios } from './dependents.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const squats = readFixture('two-variants-of-one-lift').versions.template as Template
const front: Template = {
  ...squats,
  slots: {
    ...squats.slots,
    box: { ...squats.slots.box, exercise: 'frontSquat', variant: undefined } as never,
  },
}

test('what depends on a max is named by its session, once', () => {
  expect(dependentsOf(library, front).frontSquat).toEqual([{ session: 'Session A', slot: 'Front squat' }])
})

test('a lift that the template reads a max of is offered its parent’s, where the library has one and none is tied yet', () => {
  // A front squat begins at 82% of the back squat, as the library has it (common practice, no source); a variant has no ratio there.
  const offered = offeredRatios(library, front)
  expect(offered).toEqual([{ lift: { exercise: 'frontSquat' }, of: { exercise: 'backSquat' }, percent: 82 }])
  expect(offeredRatios(library, squats)).toEqual([])
  const tied = { ...front, maxes: { ...front.maxes, ratios: offered } }
  expect(offeredRatios(library, tied)).toEqual([])
  expect(readTemplate(JSON.parse(JSON.stringify(tied))).issues).toBeUndefined()
})
