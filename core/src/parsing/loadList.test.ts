import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { formatLoadList, parseLoadList } from './loadList.ts'

test.each([
  ['2-10 by 2', [2, 4, 6, 8, 10]],
  ['5; 7.5; 10', [5, 7.5, 10]],
  ['5, 7,5; 10', [5, 7.5, 10]],
  ['10-20 by 2,5; 30', [10, 12.5, 15, 17.5, 20, 30]],
  ['10\n5\n10', [5, 10]],
])('%j is read as a person means it', (text, want) => expect(parseLoadList(text)).toEqual(want))

test.each(['', 'heavy', '10-5 by 1', '0; 5', '-5', '1-1000 by 0.5', '5-10 by 0'])('%j is refused', (text) =>
  expect(parseLoadList(text)).toBeNull(),
)

test('runs are written short', () => expect(formatLoadList([2, 4, 6, 7.5, 9])).toBe('2-6 by 2; 7.5; 9'))

test('what is written is read back', () => {
  const loads = fc
    .uniqueArray(fc.integer({ min: 1, max: 800 }), { minLength: 1, maxLength: 60 })
    .map((quarters) => quarters.map((n) => n / 4).sort((a, b) => a - b))
  fc.assert(fc.property(loads, (list) => expect(parseLoadList(formatLoadList(list))).toEqual(list)))
})
