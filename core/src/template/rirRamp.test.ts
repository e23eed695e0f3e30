import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { formatIssue } from '../parsing/index.ts'
import { readTemplate } from './read/read.ts'
import { isRamp, readRamp, rirIn, sayRamp } from './rirRamp.ts'

const file = (rows: unknown, phase: object = {}, slot: object = {}) => ({
  format: 2,
  name: 'Ramp',
  phases: [{ id: 'p', name: 'P', weeks: 3, rotation: ['a'], perWeek: 1, ...phase }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
  slots: { s: { exercise: 'backSquat', rows: { p: rows }, ...slot } },
})
const rirs = (rows: unknown) => readTemplate(file(rows)).template?.slots.s?.rows.p?.map(([line]) => line?.rir)
const faults = (...given: Parameters<typeof file>) =>
  (readTemplate(file(...given)).issues ?? []).map(formatIssue).join('\n')
const line = (rir: unknown, more: object = {}) => ({
  sets: 3,
  goal: { reps: 5 },
  load: { of: 'effort' },
  rir,
  ...more,
})

describe('a ramp of RIR', () => {
  test('falls evenly, with halves to the easier side', () => {
    expect([1, 2, 3].map((week) => rirIn({ from: 3, to: 0 }, { weeks: 3 }, week))).toEqual([3, 2, 0])
    expect([1, 2, 3, 4].map((week) => rirIn({ from: 3, to: 0 }, { weeks: 4 }, week))).toEqual([3, 2, 1, 0])
    expect([1, 2, 3, 4].map((week) => rirIn({ from: 4, to: 1, weeks: 2 }, { weeks: 4 }, week))).toEqual([
      4, 1, 1, 1,
    ])
    expect(rirIn({ from: 3, to: 0 }, { weeks: 1 }, 1)).toBe(3)
  })
  test('begins at its first, ends at its last, and never rises', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: 1, max: 10 }),
        (from, weeks, down) => {
          const to = Math.max(0, from - down)
          const seen = Array.from({ length: weeks + 2 }, (_, i) => rirIn({ from, to }, { weeks }, i + 1))
          expect([seen[0], seen[weeks - 1], seen[weeks + 1]]).toEqual([from, to, to])
          seen.forEach((rir, i) => expect(rir).toBeLessThanOrEqual(seen[i - 1] ?? 10))
        },
      ),
    ))
  test.each([
    ['3-0', { from: 3, to: 0 }],
    ['4 – 1 over 3 weeks', { from: 4, to: 1, weeks: 3 }],
    ['3-0 over 6 weeks, 2 before', { from: 3, to: 0, weeks: 6, after: 2 }],
    ['0-3', null],
    ['3', null],
    ['12-1', null],
  ])('is typed as %s', (typed, ramp) => {
    expect(readRamp(typed)).toEqual(ramp)
    if (ramp) expect(readRamp(sayRamp(ramp))).toEqual(ramp)
  })
  test('has no other keys', () => expect(isRamp({ from: 3, to: 0, by: 1 })).toBe(false))
})

describe('a file', () => {
  test('has it in one row for all weeks, written or typed', () => {
    expect(rirs([[line({ from: 3, to: 1 })]])).toEqual([3, 2, 1])
    expect(rirs(['3 x 5 @ effort R4-0 rest 2 min'])).toEqual([4, 2, 0])
    expect(rirs(['3 x 5 @ effort RIR 4-0 over 2 weeks'])).toEqual([4, 0, 0])
  })
  test.each([
    [
      'upside down',
      [[[line({ from: 0, to: 3 })]]],
      'slots.s.rows.p[0][0].rir: expected RIR, a whole number from 0 to 10, or a ramp that falls',
    ],
    [
      'in a row of one week',
      [[[line({ from: 3, to: 0 })], [line(2)], [line(1)]]],
      'slots.s.rows.p[0][0].rir: expected RIR, a whole number from 0 to 10; got',
    ],
    [
      'by exposure',
      [[[line({ from: 3, to: 0 })]], {}, { by: 'exposure' }],
      'A ramp stands in one row for all weeks',
    ],
    [
      'upside down among defaults',
      [['3 x 5 @ effort R2'], { defaults: { rir: { from: 1, to: 3 } } }],
      'phases[0].defaults.rir: expected RIR',
    ],
  ] as [string, Parameters<typeof file>, string][])('is refused %s', (_, given, fault) =>
    expect(faults(...given)).toContain(fault),
  )
  test('has one fault for a cause in a row with a ramp', () =>
    expect(
      faults([[line({ from: 3, to: 0 }, { load: { of: 'max', percent: 120 } })]]).split('\n'),
    ).toHaveLength(1))
  test('keeps a ramp among defaults as it is', () => {
    const { template } = readTemplate(file(['3 x 5 @ effort'], { defaults: { rir: { from: 3, to: 0 } } }))
    expect(template?.phases[0]?.defaults?.rir).toEqual({ from: 3, to: 0 })
    expect(readTemplate(JSON.parse(JSON.stringify(template))).template).toEqual(template)
  })
})
