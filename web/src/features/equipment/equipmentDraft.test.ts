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
    { tool: 'machine', exercise: 'legPress', unit: 'kg', loads: [7, 12, 19], plates: [2.5, 2.5] },
    { tool: 'machine', unit: 'lb', loads: [10, 20, 30], plates: [2.5, 5] },
  ],
}
const change = (own: Partial<NonNullable<EquipmentDraft['kg']>>) =>
  readDraft(library, { kg: { ...emptyUnit('kg'), ...own } })

test('a place that is opened and saved is the same', () => {
  const { value: read, faults } = readDraft(library, draftOf(has))
  expect(faults).toBeUndefined()
  expect(read?.racks).toEqual(has.racks)
  expect(read?.fixed).toEqual(expect.arrayContaining(has.fixed ?? []))
  expect(read?.fixed).toHaveLength(3)
})
test('a place that nobody has listed begins with the usual bar and plates', () => {
  expect(readDraft(library, draftOf(null)).value?.racks[0]).toMatchObject({ unit: 'kg', bar: 20 })
})
test('plates without a weight are left out; without any there is the empty bar', () => {
  expect(change({ plates: [{ weight: ' ', pairs: '1' }] }).value?.racks[0]?.plates).toEqual([])
})

describe('a fault stands at its field', () => {
  const bar = 'Expected the weight of the bar, 1 to 60.'
  const loads = 'Loads like 2-20 by 2; 22.5; 25.'
  test.each<[string, Partial<NonNullable<EquipmentDraft['kg']>>, Record<string, string>]>([
    ['no bar', { bar: '' }, { 'kg.bar': bar }],
    ['a bar of 900', { bar: '900' }, { 'kg.bar': bar }],
    [
      'a special bar that is a word',
      { special: { ...emptyUnit('kg').special, 'trap bar': 'heavy' } },
      { 'kg.special.trap bar': bar },
    ],
    [
      'half a pair',
      { plates: [{ weight: '5', pairs: '0.5' }] },
      { 'kg.plates.0.pairs': 'Expected pairs, a whole number from 1 to 20.' },
    ],
    [
      'a plate that is a word, after an empty line',
      {
        plates: [
          { weight: '', pairs: '1' },
          { weight: 'big', pairs: '1' },
        ],
      },
      { 'kg.plates.1.weight': 'Expected the weight of one plate, 0.1 to 60.' },
    ],
    ['bars that are words', { bars: 'light' }, { 'kg.bars': loads }],
    [
      'a stack that is a word',
      { machines: [{ exercise: 'legPress', loads: 'all', onPin: '' }] },
      { 'kg.machines.0.loads': loads },
    ],
    ['plates on pins that nobody listed', { onPin: '1,25; 2.5' }, { 'kg.onPin': 'List the pins first.' }],
    [
      'plates that are words',
      { machines: [{ exercise: 'legPress', loads: '10-50 by 10', onPin: 'small' }] },
      { 'kg.machines.0.onPin': 'At most 6 plates, each 0.1 to 20: 1.25; 2.5.' },
    ],
    [
      'dumbbells beyond what there is',
      { fixed: { ...emptyUnit('kg').fixed, dumbbells: '10; 900' } },
      { 'kg.fixed.dumbbells': 'Expected a load from 0.5 to 500.' },
    ],
  ])('%s', (_, own, faults) => expect(change(own)).toEqual({ faults }))

  test('two faults of two units stand at two fields', () => {
    const { faults } = readDraft(library, {
      kg: { ...emptyUnit('kg'), bar: 'x' },
      lb: { ...emptyUnit('lb'), plates: [{ weight: '45', pairs: '' }] },
    })
    expect(Object.keys(faults ?? {}).sort()).toEqual(['kg.bar', 'lb.plates.0.pairs'])
  })
})
