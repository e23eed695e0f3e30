import { describe, expect, test } from '@jest/globals'
import { sampleMember } from '../dryRun/index.ts'
import { templateOf } from './starter.ts'
import { exerciseOf } from '../library/index.ts'
import type { Fact } from '../facts/index.ts'
import { planMember } from '../plan/index.ts'
import { formatIssue } from '../parsing/index.ts'
import { readTemplate, slotsOf, type Slot } from '../template/index.ts'
import { starterKinds, starterOf } from './registry.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const day = '2026-03-02'
const testDay: Fact = { id: 'test', rev: 1, kind: 'test', on: '2026-05-24', date: day, actsFrom: day }

describe('templates to begin with', () => {
  test.each(starterKinds)(
    '%s reads as a file, plans for a light and a strong member, and leaves nobody guessing',
    (kind) => {
      expect(starterOf[kind].kind).toBe(kind)
      const { template, issues = [] } = readTemplate(JSON.parse(JSON.stringify(templateOf(starterOf[kind]))))
      expect(issues.map(formatIssue)).toEqual([])
      if (!template) return
      for (const strength of ['light', 'strong'] as const) {
        const { facts } = sampleMember(library, template, strength, day)
        const member = {
          facts: template.phases.some(({ ends }) => ends) ? [...facts, testDay] : facts,
          logs: [],
        }
        const { plans } = planMember({
          library,
          member,
          enrolments: [{ id: 'e', segments: [{ from: day, version: 'v' }] }],
          versions: { v: template },
          when: { today: day, through: 'end' },
        })
        const prescriptions =
          plans.e?.weeks.flatMap(({ places }) =>
            places.flatMap(({ slots }) => slots.flatMap((slot) => slot.sets)),
          ) ?? []
        expect(prescriptions.length).toBeGreaterThan(50)
        for (const { load, missing } of prescriptions) {
          expect(missing).toBeFalsy()
          if (load) expect(load.value).toBeGreaterThan(0)
        }
      }
      for (const slot of Object.values(template.slots))
        for (const [phase, rows] of Object.entries(slot.rows))
          for (const { goal, rest } of rows.flat()) {
            const inherits = template.phases.find(({ id }) => id === phase)?.defaults?.rest
            if (!('task' in goal)) expect([kind, slot.exercise, rest ?? inherits]).not.toContain(undefined)
          }
    },
  )

  test('cover 2 to 6 days, all levels, and the splits of the trade', () => {
    const all = starterKinds.map((kind) => starterOf[kind])
    expect(all.length).toBeGreaterThanOrEqual(10)
    expect(new Set(all.map(({ level }) => level)).size).toBe(3)
    expect(new Set(all.map(({ split }) => split)).size).toBe(all.length)
    const days = all.flatMap(({ phases }) => phases.map(({ perWeek }) => perWeek))
    expect([Math.min(...days), Math.max(...days)]).toEqual([2, 6])
  })

  // Common practice, no source: squat, hinge, horizontal and vertical push and pull.
  test('for novices cover all six patterns', () => {
    for (const kind of starterKinds.filter((one) => starterOf[one].level === 'novice')) {
      const template = templateOf(starterOf[kind])
      const ids = Object.values(template.sessions).flatMap(slotsOf)
      const patterns = ids.map((id) => exerciseOf(library, template.slots[id] as Slot).pattern)
      for (const pattern of [
        'squat',
        'hinge',
        'horizontal push',
        'vertical push',
        'horizontal pull',
        'vertical pull',
      ])
        expect([kind, patterns]).toEqual([kind, expect.arrayContaining([pattern])])
    }
  })
})
