import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { percentFor, repTables } from '../maxes/index.ts'
import { waysTo } from './tonnage.ts'

test('20 times the max is reached by 5 × 5 at 80%, or by fewer reps in more sets', () => {
  const ways = waysTo(20, 'handbook', 5)
  expect(ways[0]).toEqual({ sets: 5, reps: 5, percent: 80 })
  expect(ways).toContainEqual({ sets: 8, reps: 3, percent: 83.3333 })
  // 4 × 5 would take 100%, and five reps allow 87.
  expect(ways.some(({ sets, reps }) => sets === 4 && reps === 5)).toBe(false)
})
test('every way reaches the tonnage with what the table allows', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 60 }), fc.constantFrom(...repTables), (times, table) => {
      for (const { sets, reps, percent } of waysTo(times, table, 5)) {
        expect((sets * reps * percent) / 100).toBeCloseTo(times, 3)
        expect(percent).toBeLessThanOrEqual(percentFor(table, reps))
      }
    }),
  )
})
