import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { estimate } from './estimate.ts'
import * as formulas from './index.ts'
import { formulaKinds, formulaOf } from './registry.ts'

const kg = (value: number) => ({ value, unit: 'kg' as const })

describe.each(Object.entries(formulas))('%s', (name, formula) => {
  test('is stored under its own name and listed', () => {
    expect(formula.kind).toBe(name)
    expect(formulaKinds).toContain(name)
    expect(formula.source).not.toBe('')
  })
  test.each(formula.examples)('$say', ({ load, reps, want }) => {
    expect(estimate(kg(load), reps, formula.kind as 'epley')?.value).toBe(want)
  })
  // Haff & Triplett (eds.), Essentials of Strength Training and Conditioning, 4th ed., 2016, table of %1RM and repetitions
  // allowed, quoted from memory: 2 95, 3 93, 4 90, 5 87, 6 85, 7 83, 8 80, 9 77, 10 75.
  test('agrees with the handbook table within 2.5 points to 10 reps', () => {
    const table = [95, 93, 90, 87, 85, 83, 80, 77, 75]
    table.forEach((percent, i) => {
      expect(Math.abs(100 / formula.factor(i + 2) - percent)).toBeLessThanOrEqual(2.5)
    })
  })
  test('more reps or more load never mean a lower max', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        (reps, load) => {
          const less = estimate(kg(load), reps, formula.kind as 'epley')?.value ?? NaN
          expect(estimate(kg(load), reps + 1, formula.kind as 'epley')?.value).toBeGreaterThanOrEqual(less)
          expect(estimate(kg(load + 1), reps, formula.kind as 'epley')?.value).toBeGreaterThan(less)
        },
      ),
    )
  })
})

// LeSuer et al., J Strength Cond Res 11(4), 1997, 211-213, found such formulas alike near 5 reps and parting as reps grow;
// that the two meet at exactly 10 reps is arithmetic: 1 + 10/30 = 36/27.
test('Epley and Brzycki meet at ten reps', () => {
  expect(formulaOf.epley.factor(10)).toBeCloseTo(formulaOf.brzycki.factor(10), 12)
})

test('a single is the max by no formula', () => {
  expect(estimate(kg(140), 1, 'epley')).toEqual(kg(140))
})

test('reps in reserve count as reps, and too many of either give no estimate', () => {
  expect(estimate(kg(100), 3, 'epley', 2)).toEqual(estimate(kg(100), 5, 'epley'))
  expect(estimate(kg(100), 5, 'epley', 5)).toBeNull()
  expect(estimate(kg(100), 11, 'epley')).toBeNull()
  expect(estimate(kg(100), 0, 'epley')).toBeNull()
})
