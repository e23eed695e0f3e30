import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { compareLoads, inUnit, snap } from './load.ts'
import { makeable, partsFor, usualRack, type Rack } from './rack.ts'
import { round } from './round.ts'
import { addDays, daysBetween, isDay, weekdayOf } from './day.ts'

const kg = (value: number) => ({ value, unit: 'kg' as const })
const small: Rack = {
  unit: 'kg',
  bar: 20,
  plates: [
    { weight: 20, pairs: 1 },
    { weight: 1.25, pairs: 1 },
  ],
}

describe('mass', () => {
  // NIST Handbook 44, appendix C: 1 avoirdupois pound = 0.453 592 37 kg exactly; 100 kg = 220.4623 lb.
  test('kilograms and pounds convert by the international pound', () => {
    expect(inUnit({ value: 1, unit: 'lb' }, 'kg').value).toBe(0.4536)
    expect(inUnit(kg(100), 'lb').value).toBe(220.4623)
  })
  test('a load equals itself after a trip through the other unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 600, noNaN: true }), (v) => {
        const load = kg(snap(v))
        expect(compareLoads(inUnit(inUnit(load, 'lb'), 'kg'), load)).toBe(0)
      }),
    )
  })
})

describe('plates', () => {
  test('a rack makes exactly the sums of its plates', () => {
    expect(makeable(small).loads).toEqual([20, 22.5, 60, 62.5])
  })
  // Common practice, no source: 100 kg is a 20 kg bar with 25 and 15 on each side; 225 lb is two 45s a side.
  test('the usual racks load the loads every lifter knows', () => {
    expect(partsFor(kg(100), makeable(usualRack.kg))).toEqual({ bar: 20, plates: [25, 15] })
    expect(partsFor({ value: 225, unit: 'lb' }, makeable(usualRack.lb))?.plates).toEqual([45, 45])
    expect(partsFor({ value: 135, unit: 'lb' }, makeable(usualRack.lb))?.plates).toEqual([45])
  })
  test('plates of both sides and the bar add up to each makeable load', () => {
    for (const rack of Object.values(usualRack)) {
      const can = makeable(rack)
      can.loads.forEach((load, i) => {
        expect(snap(rack.bar + 2 * (can.parts?.[i]?.plates ?? []).reduce((a, b) => a + b, 0))).toBe(load)
      })
    }
  })
})

describe('rounding', () => {
  const can = makeable(usualRack.kg)
  test('nearest takes ties up, down and up go their way', () => {
    expect(round(kg(61.25), can, 'nearest').load.value).toBe(62.5)
    expect(round(kg(61.24), can, 'nearest').load.value).toBe(60)
    expect(round(kg(61.25), can, 'down').load.value).toBe(60)
    expect(round(kg(60.01), can, 'up').load.value).toBe(62.5)
  })
  test('a number a hair below a makeable load is that load', () => {
    expect(round(kg(62.49999999), can, 'down').load.value).toBe(62.5)
  })
  test('below the bar gives the bar and above the plates gives the most there is, both said', () => {
    expect(round(kg(12), can, 'nearest')).toEqual({ load: kg(20), met: 'floor' })
    expect(round(kg(80), makeable(small), 'nearest')).toEqual({ load: kg(62.5), met: 'top' })
  })
  test('any load rounds to one that can be made, no farther than the gap around it', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 250, noNaN: true }), (v) => {
        const { load } = round(kg(v), can, 'nearest')
        expect(partsFor(load, can)).not.toBeNull()
        expect(Math.abs(load.value - v)).toBeLessThanOrEqual(1.2501)
      }),
    )
  })
})

describe('days', () => {
  test('only days that exist are days', () => {
    expect([isDay('2026-02-28'), isDay('2026-02-30'), isDay('2026-2-3'), isDay(7)]).toEqual([
      true,
      false,
      false,
      false,
    ])
  })
  test('days are counted over month and leap-year ends', () => {
    expect(addDays('2028-02-28', 2)).toBe('2028-03-01')
    expect(daysBetween('2026-12-30', '2027-01-02')).toBe(3)
  })
  test('the centuries have their leap years, and there is no year 0', () => {
    expect(['1900-02-29', '2000-02-29', '2100-02-29', '0000-01-01', '0001-01-01'].map(isDay)).toEqual([
      false,
      true,
      false,
      false,
      true,
    ])
  })
  test('are those of the platform (ISO 8601), over all years that are written with four digits', () => {
    const first = Date.parse('0001-01-01T00:00:00Z')
    const platform = (n: number) => new Date(first + n * 86_400_000).toISOString().slice(0, 10)
    const last = (Date.parse('9999-12-31T00:00:00Z') - first) / 86_400_000
    fc.assert(
      fc.property(fc.integer({ min: 0, max: last }), fc.integer({ min: 0, max: last }), (a, b) => {
        const [one, other] = [platform(a), platform(b)]
        expect(addDays(one, b - a)).toBe(other)
        expect(daysBetween(one, other)).toBe(b - a)
        expect(isDay(one)).toBe(true)
        expect(weekdayOf(one) % 7).toBe(new Date(one).getUTCDay())
      }),
      { numRuns: 2000 },
    )
  })
})
