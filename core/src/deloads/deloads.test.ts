// Deloads as they are planned: none is heavier than the week that it stands in for, and the calendar raises nothing.
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readFixture } from '../../fixtures/read.ts'
import { planMember, type Plan, type PlannedWeek } from '../plan/index.ts'
import type { Fact, Member } from '../facts/index.ts'
import { lighterThan } from '../views/index.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { addDays, compareLoads, type Load } from '../units/index.ts'
import { everyNth, placeDeload } from './placeDeload.ts'
import { deloadKinds, deloadOf } from './registry.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const max = (exercise: 'backSquat' | 'benchPress', value: number): Fact => ({
  id: exercise,
  rev: 1,
  date: start,
  actsFrom: start,
  kind: 'max',
  exercise,
  load: { value, unit: 'kg' },
  reps: 1,
  how: 'tested',
})

const prescribed = fc.record({
  sets: fc.integer({ min: 1, max: 8 }),
  reps: fc.integer({ min: 1, max: 30 }),
  percent: fc.integer({ min: 30, max: 100 }),
  rir: fc.option(fc.integer({ min: 0, max: 10 }), { nil: undefined }),
})
const placed = fc.constantFrom(
  ...deloadKinds
    .filter((kind) => kind !== 'taper')
    .flatMap((kind) => deloadOf[kind].examples.map(({ params }) => ({ kind, params }))),
)

type Group = { sets: number; reps: number; percent: number; rir?: number }

function planned(prescriptions: Group[], deload: object[], value: number): PlannedWeek | undefined {
  const rows = prescriptions.map(({ sets, reps, percent, rir }, i) => ({
    id: String(i),
    sets,
    goal: { reps },
    load: { of: 'max', percent },
    ...(rir !== undefined && { rir }),
  }))
  const { template } = readTemplate({
    format: 2,
    name: 'Light',
    phases: [{ id: 'p', name: 'P', weeks: 1, rotation: ['a'], perWeek: 3, deloads: deload }],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: { squat: { exercise: 'backSquat', rows: { p: [rows] } } },
  })
  const enrolment = { id: 'e', segments: [{ from: start, version: 'v' }] }
  const when = { today: start, through: 'end' } as const
  const { plans } = planMember({
    library,
    member: { facts: [max('backSquat', value)], logs: [] },
    enrolments: [enrolment],
    versions: { v: template as Template },
    when,
  })
  return plans.e?.weeks[0]
}

test('a deload raises none of load, hard sets or effort of any slot, and lowers at least one overall', () => {
  fc.assert(
    fc.property(
      placed,
      fc.array(prescribed, { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 40, max: 250 }),
      ({ kind, params }, prescriptions, value) => {
        const deload = placeDeload(kind, params, { weeks: [1] }, (n) => `l${n}`)
        const week = planned(prescriptions, deload, value)
        const places = week?.places ?? []
        let isLower = places.length < 3
        for (const { slots } of places) {
          if (!slots.length) isLower = true
          for (const { sets: asked, withoutDeload = [] } of slots)
            asked.forEach((is, i) => {
              const was = withoutDeload[i]
              if (!was) return
              const { sets, load, rir } = lighterThan(was, is)
              expect(sets).toBeGreaterThanOrEqual(0)
              expect(load?.value ?? 0).toBeGreaterThanOrEqual(0)
              // A set of many reps counts its effort by its RIR.
              expect(rir).toBeGreaterThanOrEqual(0)
              isLower ||= sets > 0 || (load?.value ?? 0) > 0 || rir > 0
            })
        }
        // What is at its least already cannot be lowered: one set, the empty bar, plenty of RIR.
        const canBe: Record<string, boolean> = {
          sets: prescriptions.some(({ sets }) => sets > 1),
          load: prescriptions.some(({ percent }) => (value * percent) / 100 > 60),
          rir: prescriptions.some(({ rir = 0 }) => rir < 4),
        }
        const lowers: Partial<Record<typeof kind, string[]>> = {
          percentDown: ['load'],
          lessLoad: ['load'],
          fewerSets: ['sets'],
          stopSooner: ['rir'],
        }
        if ((lowers[kind] ?? ['sets', 'load']).some((what) => canBe[what])) expect(isLower).toBe(true)
      },
    ),
    { numRuns: 300 },
  )
})

test('every nth week is counted from the start of a phase', () => {
  expect([everyNth(12, 4), everyNth(7, 3), everyNth(3, 4)]).toEqual([[4, 8, 12], [3, 6], []])
})

describe('a calendar that moves', () => {
  const names = ['a-missed-week-holds', 'missed-weeks-repeat', 'missed-days-shift']

  test.each(names)('raises no load while nothing is trained: %s', (name) => {
    const { versions, file, today } = readFixture(name)
    const enrolments = file.enrolments.map((one) => ({ ...one, clock: 'calendar' as const }))
    const next = (day: string) => {
      const { plans } = planMember({
        library,
        member: file.member as Member,
        enrolments,
        versions,
        when: {
          today: day,
          through: 'end',
        },
      })
      return heaviestNext(Object.values(plans)[0] as Plan)
    }
    const before = next(today)
    for (let weeks = 1; weeks <= 3; weeks++) {
      const after = next(addDays(today, 7 * weeks))
      for (const [slot, load] of Object.entries(after)) {
        const had = before[slot]
        if (had) expect([slot, compareLoads(load, had) <= 0]).toEqual([slot, true])
      }
    }
  })
})

/** The heaviest load of each slot the next time that it is trained. */
function heaviestNext({ weeks }: Plan): Record<string, Load> {
  const found: Record<string, Load> = {}
  for (const { slots, status } of weeks.flatMap(({ places }) => places)) {
    if (status !== 'next' && status !== 'ahead') continue
    for (const { slot, sets: prescriptions } of slots) {
      const loads = prescriptions.flatMap(({ load }) => load ?? [])
      if (loads.length) found[slot] ??= loads.reduce((a, b) => (compareLoads(b, a) > 0 ? b : a))
    }
  }
  return found
}
