import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { makeable, scale, usualRack, type Load } from '../units/index.ts'
import { findLoad, type Found, type Try } from './findLoad.ts'

const can = makeable(usualRack.kg)
const kg = (value: number): Load => ({ value, unit: 'kg' })
const fives = { reps: 5, rir: 2 }
const after = (load: number, rir: number, reps = 5): Found =>
  findLoad([{ load: kg(load), reps, rir }], fives, can)

describe('a load that nobody knows', () => {
  test('is looked for from the empty bar', () => {
    expect(findLoad([], fives, can)).toEqual({ load: kg(20), isFound: false })
  })
  test.each([
    // A tenth more than 20 is 22, less than a step: one step of 2.5 all the same. Of 60 it is 66: 65. A fifth of 60 more is 72: 70.
    ['five rir at 20', 20, 5, 22.5, false],
    ['five rir at 60', 60, 5, 65, false],
    ['eight rir at 60', 60, 8, 70, false],
    // 5 with 4 rir are 9: Epley 60 × 1.3 = 78, 83% for 7 reps is 64.74, down to 62.5.
    ['four rir at 60', 60, 4, 62.5, false],
    // 5 @ 3 RIR are 8: 60 × 1.2667 = 76, 83% is 63.08, down to 62.5.
    ['three rir at 60', 60, 3, 62.5, false],
    ['two rir at 60, as asked', 60, 2, 60, true],
    // 5 @ 0 RIR: 60 × 1.1667 = 70, 83% is 58.1, down to 57.5.
    ['none rir at 60', 60, 0, 57.5, true],
  ])('after %s goes on as worked by hand', (_, load, rir, next, isFound) => {
    expect(after(load, rir)).toEqual({ load: kg(next), isFound })
  })
  test('is found where there is nothing heavier', () => {
    const top = can.loads.at(-1) ?? 0
    expect(after(top, 8)).toEqual({ load: kg(top), isFound: true })
  })
})

test('a lifter of any strength gets there, never by more than a fifth or a step, and with no less rir than one off', () => {
  fc.assert(
    fc.property(fc.integer({ min: 35, max: 220 }), fc.integer({ min: 3, max: 8 }), (strength, reps) => {
      const tries: Try[] = []
      const asked = { reps, rir: 2 }
      for (let count = 0; count < 60; count++) {
        const { load, isFound } = findLoad(tries, asked, can)
        if (isFound) {
          expect(leftAt(strength, load.value, reps)).toBeGreaterThanOrEqual(1)
          return
        }
        const last = tries.at(-1)?.load
        if (last) {
          const step = can.loads.find((one) => one > last.value) ?? last.value
          expect(load.value).toBeLessThanOrEqual(Math.max(scale(last, 120).value, step))
        }
        const rir = leftAt(strength, load.value, reps)
        if (rir < 0) return
        tries.push({ load, reps, rir: Math.min(rir, 8) })
      }
      throw new Error('never found')
    }),
  )
})

/** Reps that are rir after `reps` for somebody of that 1RM, by Epley the other way round. */
const leftAt = (strength: number, load: number, reps: number): number =>
  Math.floor(30 * (strength / load - 1)) - reps
