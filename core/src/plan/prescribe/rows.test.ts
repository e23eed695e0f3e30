import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readTemplate, type Template } from '../../template/index.ts'
import { addDays } from '../../units/index.ts'
import { planMember } from '../planMember.ts'

const weeks = 10
const start = '2026-03-02'

/** Ten weeks of rows at 50, 51 … sets of one rep each, so that a row is known by its reps; with deloads in some weeks. */
function templateOf(deloads: number[]): Template {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Rows',
    phases: [
      {
        id: 'p',
        name: 'P',
        weeks,
        rotation: ['a'],
        perWeek: 1,
        deloads: deloads.map((week) => ({
          id: `d${week}`,
          do: { kind: 'scaleSets', by: -50, round: 'up' },
          where: { weeks: [week] },
        })),
      },
    ],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['s'] }] } },
    slots: {
      s: {
        exercise: 'backSquat',
        rows: {
          p: Array.from({ length: weeks }, (_, i) => [
            { sets: 2, goal: { reps: i + 1 }, load: { of: 'free' } },
          ]),
        },
      },
    },
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}

test('rows outside deloads are read one after the other, none twice, whatever weeks are missed', () => {
  const any = fc.record({
    deloads: fc.uniqueArray(fc.integer({ min: 2, max: weeks }), { maxLength: 3 }),
    trained: fc.array(fc.boolean(), { minLength: weeks, maxLength: weeks }),
  })
  fc.assert(
    fc.property(any, ({ deloads, trained }) => {
      const template = templateOf(deloads)
      const logs = trained.flatMap((is, i) =>
        is
          ? [
              {
                id: `e:${i + 1}:1`,
                rev: 1,
                date: addDays(start, 7 * i),
                enrolment: 'e',
                position: i + 1,
                attempt: 1,
                ordinal: 1,
                closed: true,
                sets: [1, 2].map((n) => ({
                  id: `e:${i + 1}:1:s:${n}`,
                  rev: 1,
                  slot: 's',
                  n,
                  exercise: 'backSquat' as const,
                  state: 'done' as const,
                  reps: 12,
                })),
              },
            ]
          : [],
      )
      const { plans } = planMember({
        library: {},
        member: { facts: [], logs },
        enrolments: [{ id: 'e', segments: [{ from: start, version: 'v' }] }],
        versions: { v: template },
        when: { today: addDays(start, 7 * weeks), through: 'end' },
      })
      const read = (plans.e?.weeks ?? []).flatMap(({ phaseWeek, places }) => {
        const [place] = places
        const isNormal = place?.status === 'trained' && !deloads.includes(phaseWeek)
        return isNormal ? [place.slots[0]?.sets[0]?.reps] : []
      })
      const rows = Array.from({ length: weeks }, (_, i) => i + 1).filter((row) => !deloads.includes(row))
      expect(read).toEqual(rows.slice(0, read.length))
    }),
    { numRuns: 60 },
  )
})
