// What holds of every load, whatever the max, the percent, the changes and the plates.
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { ShownSets } from '../member/index.ts'
import type { Adjustment } from '../adjustments/index.ts'
import type { Fact } from '../facts/index.ts'
import { planMember } from '../plan/index.ts'
import { readTemplate, type Template } from '../template/index.ts'
import {
  compareLoads,
  inUnit,
  makeable,
  makeableOnBody,
  usualFixed,
  type Load,
  type Rack,
  type Unit,
} from '../units/index.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const day = '2026-03-02'
const entry = (id: string) => ({ id, rev: 1, date: day, actsFrom: day })
const anyRack = fc.record({
  unit: fc.constantFrom<Unit>('kg', 'lb'),
  bar: fc.constantFrom(15, 20, 45),
  plates: fc.uniqueArray(
    fc.record({
      weight: fc.constantFrom(25, 20, 10, 5, 2.5, 1.25, 0.5),
      pairs: fc.integer({ min: 1, max: 4 }),
    }),
    { maxLength: 6, selector: ({ weight }) => weight },
  ),
})
const anyLoad = fc.record({
  value: fc.double({ min: 15, max: 400, noNaN: true }),
  unit: fc.constantFrom<Unit>('kg', 'lb'),
})
const anyChange = fc.constantFrom<Adjustment['do']>(
  { kind: 'points', by: 15 },
  { kind: 'points', by: -20 },
  { kind: 'scaleLoad', by: 25 },
  { kind: 'scaleLoad', by: -30 },
  { kind: 'cap', at: { kg: 60, lb: 130 } },
)

type Asking = { exercise?: string; load: object; over?: true; changes?: Adjustment['do'][] }

/** One prescription of five reps, as it is asked of a member with that max, rack and body on the first day. */
function ask(
  { exercise = 'backSquat', load, over, changes = [] }: Asking,
  max: Load,
  rack: Rack,
  body?: Load,
): ShownSets {
  const prescribed = { sets: 3, goal: { reps: 5 }, load, ...(over && { over }) }
  const { template, issues } = readTemplate({
    format: 2,
    name: 'One load',
    trainingMax: 90,
    phases: [{ id: 'p', name: 'P', weeks: 1, rotation: ['a'], perWeek: 1 }],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
    slots: { s: { exercise, rows: { p: [[prescribed]] } } },
    tracks: {
      t: { name: 'T', changes: changes.map((change, i) => ({ id: String(i), do: change, where: {} })) },
    },
  })
  if (!template) throw new Error(JSON.stringify(issues))
  const facts = [
    { ...entry('unit'), kind: 'unit', unit: rack.unit },
    { ...entry('rack'), kind: 'equipment', location: 'home', racks: [rack] },
    ...(body ? [{ ...entry('body'), kind: 'bodyWeight', load: body }] : []),
    { ...entry('max'), kind: 'max', exercise, load: max, reps: 1, how: 'tested' },
  ] as Fact[]
  const enrolment = { id: 'e', segments: [{ from: day, version: 'v', track: 't' }] }
  const versions: Record<string, Template> = { v: template }
  const { plans } = planMember({
    library,
    member: { facts, logs: [] },
    enrolments: [enrolment],
    versions,
    when: { today: day, through: 'end' },
  })
  return plans.e?.weeks[0]?.places[0]?.slots[0]?.sets[0] as ShownSets
}
const ofMax = (percent: number) => ({ of: 'max', percent })

describe('a load', () => {
  test('can always be made from what there is, whatever is asked and changed', () => {
    fc.assert(
      fc.property(
        anyRack,
        anyLoad,
        fc.integer({ min: 1, max: 100 }),
        fc.array(anyChange, { maxLength: 3 }),
        (rack, max, percent, changes) => {
          const { load, side, bar } = ask({ load: ofMax(percent), changes }, max, rack)
          expect(makeable(rack).loads).toContain(load?.value)
          const plates = (side ?? []).reduce((sum, plate) => sum + plate, 0)
          expect((bar ?? 0) + 2 * plates).toBeCloseTo(load?.value ?? NaN, 4)
        },
      ),
    )
  })
  test('never falls when the max or the percent rises', () => {
    fc.assert(
      fc.property(
        anyRack,
        anyLoad,
        anyLoad,
        fc.integer({ min: 1, max: 100 }),
        fc.integer({ min: 1, max: 100 }),
        (rack, a, b, p, q) => {
          const [light, heavy] = compareLoads(a, b) < 0 ? [a, b] : [b, a]
          const value = (max: Load, percent: number) =>
            ask({ load: ofMax(percent) }, max, rack).load?.value ?? NaN
          expect(value(light, p)).toBeLessThanOrEqual(value(heavy, p))
          expect(value(a, Math.min(p, q))).toBeLessThanOrEqual(value(a, Math.max(p, q)))
        },
      ),
    )
  })
  test('never passes the 1RM where no test is planned, not even by rounding or by a heavier track', () => {
    const bases = fc.constantFrom<object>(
      ofMax(100),
      { of: 'trainingMax', percent: 100 },
      { of: 'repMax', reps: 5, percent: 100 },
      { of: 'effort' },
    )
    fc.assert(
      fc.property(
        anyRack,
        anyLoad,
        bases,
        fc.array(anyChange, { maxLength: 2 }),
        (rack, max, load, changes) => {
          const asked = ask({ load, changes }, max, rack).load as Load
          const least = { value: rack.bar, unit: rack.unit }
          if (compareLoads(asked, least) > 0)
            expect(compareLoads(asked, inUnit(max, rack.unit))).toBeLessThanOrEqual(0)
        },
      ),
    )
  })
  test('passes it where the writer says that more is meant', () => {
    const rack: Rack = { unit: 'kg', bar: 20, plates: [{ weight: 5, pairs: 10 }] }
    const asked = ask({ load: ofMax(120), over: true }, { value: 100, unit: 'kg' }, rack)
    expect(asked.load).toEqual({ value: 120, unit: 'kg' })
  })
  test('never passes a cap, whatever else is changed', () => {
    const cap = { kind: 'cap' as const, at: { kg: 60, lb: 130 } }
    fc.assert(
      fc.property(anyRack, anyLoad, fc.array(anyChange, { maxLength: 2 }), (rack, max, changes) => {
        const asked = ask({ load: ofMax(90), changes: [...changes, cap] }, max, rack)
        const most = Math.max(cap.at[rack.unit], rack.bar)
        expect(asked.load?.value).toBeLessThanOrEqual(most)
      }),
    )
  })
  test('on top of body weight is what the belt holds or the machine helps, and comes to what was meant within a step', () => {
    fc.assert(
      fc.property(
        anyRack,
        fc.integer({ min: 45, max: 130 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 40, max: 100 }),
        (rack, weight, added, percent) => {
          const body: Load = { value: weight, unit: rack.unit }
          const { load, help } = ask(
            { exercise: 'pullUp', load: ofMax(percent) },
            { value: added, unit: rack.unit },
            rack,
            body,
          )
          const signed = (load?.value ?? NaN) * (help ? -1 : 1)
          expect(makeableOnBody(rack, usualFixed.assistance[rack.unit]).loads).toContain(signed)
          expect(weight + signed).toBeLessThanOrEqual(weight + added)
        },
      ),
    )
  })
})
