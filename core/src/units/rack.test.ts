import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { round } from './round.ts'
import { snap } from './load.ts'
import { makeable, makeableOnBody, makeableWith, partsFor, usualFixed, withBar, type Rack } from './rack.ts'

const kg = (value: number) => ({ value, unit: 'kg' as const })
const anyRack = fc
  .record({
    bar: fc.constantFrom(15, 20, 25),
    plates: fc.uniqueArray(
      fc.record({
        weight: fc.constantFrom(25, 20, 15, 10, 5, 2.5, 1.25, 0.5),
        pairs: fc.integer({ min: 1, max: 3 }),
      }),
      { maxLength: 4, selector: ({ weight }) => weight },
    ),
  })
  .map((rack): Rack => ({ unit: 'kg', ...rack }))

/** Every way to put plates on one side, one after the other: slow, and beyond doubt. */
function everySide(plates: Rack['plates'], per: 'pairs' | 'singles' = 'pairs'): number[][] {
  return plates.reduce<number[][]>(
    (sides, { weight, pairs }) =>
      sides.flatMap((side) =>
        Array.from({ length: (per === 'pairs' ? pairs : 2 * pairs) + 1 }, (_, n) => [
          ...side,
          ...Array<number>(n).fill(weight),
        ]),
      ),
    [[]],
  )
}
const sum = (plates: number[]) => snap(plates.reduce((a, b) => a + b, 0))

describe('a rack', () => {
  test('makes just what an exhaustive search finds, each with the fewest plates', () => {
    fc.assert(
      fc.property(anyRack, (rack) => {
        const fewest = new Map<number, number>()
        for (const side of everySide(rack.plates)) {
          const load = snap(rack.bar + 2 * sum(side))
          fewest.set(load, Math.min(fewest.get(load) ?? Infinity, side.length))
        }
        const can = makeable(rack)
        expect(can.loads).toEqual([...fewest.keys()].sort((a, b) => a - b))
        for (const load of can.loads) {
          const { bar = 0, plates = [] } = partsFor(kg(load), can) ?? {}
          expect(snap(bar + 2 * sum(plates))).toBe(load)
          expect(plates).toHaveLength(fewest.get(load) ?? -1)
          expect([...plates].sort((a, b) => b - a)).toEqual(plates)
        }
      }),
    )
  })
  test('rounds down to the closest that an exhaustive search finds at or below', () => {
    fc.assert(
      fc.property(anyRack, fc.double({ min: 26, max: 200, noNaN: true }), (rack, meant) => {
        const below = everySide(rack.plates)
          .map((side) => snap(rack.bar + 2 * sum(side)))
          .filter((load) => load <= snap(meant))
        expect(round(kg(meant), makeable(rack), 'down').load.value).toBe(Math.max(...below))
      }),
    )
  })
  test('takes another bar only for what is lighter than the usual bar', () => {
    const can = makeable({ unit: 'kg', bar: 20, bars: [15, 10], plates: [{ weight: 2.5, pairs: 1 }] })
    expect(can.loads).toEqual([10, 15, 20, 25])
    expect(partsFor(kg(15), can)).toEqual({ bar: 15, plates: [] })
    expect(partsFor(kg(25), can)).toEqual({ bar: 20, plates: [2.5] })
    expect(withBar(can, 20).loads).toEqual([20, 25])
  })
  test('has the special bars of the place, else those of the usual weight', () => {
    const plates = [{ weight: 10, pairs: 1 }]
    expect(makeableWith({ unit: 'kg', bar: 20, plates }, 'trap bar').loads).toEqual([25, 45])
    expect(
      makeableWith({ unit: 'kg', bar: 20, plates, special: { 'trap bar': 28 } }, 'trap bar').loads,
    ).toEqual([28, 48])
  })
  test('without any plates is its bar', () => {
    expect(makeable({ unit: 'kg', bar: 20, plates: [] }).loads).toEqual([20])
  })
})

describe('a belt and a machine that helps', () => {
  const help = { ...usualFixed.assistance.kg, loads: [10, 25] }
  test('go from the most help through body weight alone to the most plates', () => {
    const can = makeableOnBody({ unit: 'kg', bar: 20, plates: [{ weight: 5, pairs: 1 }] }, help)
    expect(can.loads).toEqual([-25, -10, 0, 5, 10])
    expect(partsFor(kg(10), can)).toEqual({ plates: [5, 5] })
    expect(round(kg(-12), can, 'down').load.value).toBe(-25)
    expect(round(kg(-30), can, 'nearest')).toEqual({ load: kg(-25), met: 'floor' })
  })
  test('hang what an exhaustive search finds of single plates', () => {
    fc.assert(
      fc.property(anyRack, (rack) => {
        const sums = new Set(
          everySide(rack.plates, 'singles')
            .map(sum)
            .filter((load) => load <= 150),
        )
        const hung = makeableOnBody(rack, help).loads.filter((load) => load >= 0)
        expect(hung).toEqual([...sums].sort((a, b) => a - b))
      }),
    )
  })
})
