import { describe, expect, test } from '@jest/globals'
import type { EquipmentBody } from '@young-oak/core/facts'
import { draftOf, emptyUnit, readDraft, type EquipmentDraft } from './equipmentDraft.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const has: EquipmentBody = {
  racks: [
    {
      unit: 'kg',
      bar: 20,
      bars: [10, 15],
      special: { 'trap bar': 28 },
      plates: [
        { weight: 20, pairs: 2 },
        { weight: 1.25, pairs: 1 },
      ],
    },
    { unit: 'lb', bar: 45, plates: [{ weight: 45, pairs: 3 }] },
  ],
  fixed: [
    { tool: 'dumbbells', unit: 'kg', loads: [4, 6, 8, 10] },
    { tool: 'machine', exercise: 'legPress', unit: 'kg', loads: [7, 12, 19] },
    { tool: 'machine', unit: 'lb', loads: [10, 20, 30] },
  ],
}
const change = (own: Partial<NonNullable<EquipmentDraft['kg']>>) =>
  readDraft(library, { kg: { ...emptyUnit('kg'), ...own } })

test('a place that is opened and saved is the same', () => {
  const { has: read, faults } = readDraft(library, draftOf(has))
  expect(faults).toEqual([])
  expect(read?.racks).toEqual(has.racks)
  expect(read?.fixed).toEqual(expect.arrayContaining(has.fixed ?? []))
  expect(read?.fixed).toHaveLength(3)
})
test('a place that nobody has listed begins with the usual bar and plates', () => {
  expect(readDraft(library, draftOf(null)).has?.racks[0]).toMatchObject({ unit: 'kg', bar: 20 })
})
test('plates without a weight are left out; without any there is the empty bar', () => {
  expect(change({ plates: [{ weight: ' ', pairs: '1' }] }).has?.racks[0]?.plates).toEqual([])
})

describe('a fault is named in the words of the form', () => {
  test.each([
    ['no bar', { bar: '' }, 'The bar: expected the weight of the bar, 1 to 60; got nothing. Add it.'],
    ['a bar of 900', { bar: '900' }, 'The bar: expected the weight of the bar, 1 to 60; got 900.'],
    [
      'half a pair',
      { plates: [{ weight: '5', pairs: '0.5' }] },
      'Plate 1, pairs: expected pairs, a whole number from 1 to 20; got 0.5.',
    ],
    [
      'a plate that is a word',
      {
        plates: [
          { weight: '5', pairs: '1' },
          { weight: 'big', pairs: '1' },
        ],
      },
      'Plate 2, weight: expected the weight of one plate, 0.1 to 60; got "big".',
    ],
    [
      'bars that are words',
      { bars: 'light' },
      'Other bars, kg: loads like 2-20 by 2; 22.5; 25, not "light".',
    ],
    [
      'a stack that is a word',
      { machines: [{ exercise: 'legPress' as const, loads: 'all' }] },
      'Its own stack, kg: loads like 2-20 by 2; 22.5; 25, not "all".',
    ],
  ])('%s', (_, own, fault) => expect(change(own)).toEqual({ faults: [fault] }))
})
