// The weeks to come under what is supposed of them, worked by hand: 3 × 5 from 100 by 2.5, two misses take 10% off.
import { describe, expect, test } from '@jest/globals'
import { fixtureNames, readFixture } from '../../../fixtures/read.ts'
import { planMember } from '../../plan/index.ts'
import { doingUnder, type Supposed } from './registry.ts'
import { readTemplate, type Template } from '../../template/index.ts'
import { formatSetsShown, tallyOf } from '../../views/index.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const templateOf = (more: object = {}): Template => {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'One lift',
    phases: [{ id: 'p', name: 'P', weeks: 5, rotation: ['a'], perWeek: 1 }],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: {
      squat: {
        exercise: 'backSquat',
        uses: [{ progression: 'squat' }],
        rows: { p: [[{ sets: 3, goal: { reps: 5 }, load: { of: 'progression' } }]] },
      },
    },
    progressions: {
      squat: {
        stages: [
          {
            id: 'one',
            rule: 'linear',
            params: { startLoad: { kg: 100, lb: 220 }, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10 },
          },
        ],
      },
    },
    ...more,
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}

function loads(suppose: Supposed, template = templateOf(), clock?: 'calendar'): string[] {
  const enrolment = { id: 'e', ...(clock && { clock }), segments: [{ from: start, version: 'v' }] }
  const when = { today: start, through: 'end', doing: doingUnder(suppose) } as const
  const { plans } = planMember({
    library,
    member: { facts: [], logs: [] },
    enrolments: [enrolment],
    versions: { v: template },
    when,
  })
  return (plans.e?.weeks ?? []).flatMap(({ places }) =>
    places.flatMap(({ slots }) =>
      slots.map(
        ({ sets: prescriptions, supposed }) =>
          `${formatSetsShown(library, prescriptions)}${supposed ? ` ${supposed}` : ''}`,
      ),
    ),
  )
}
const at = (load: number, verdict = '') => `3 × 5 @ ${load} kg${verdict && ` ${verdict}`}`

describe('a preview', () => {
  test('all goes to plan', () => {
    expect(loads({ kind: 'toPlan' })).toEqual([100, 102.5, 105, 107.5, 110].map((load) => at(load)))
  })
  test('misses in one week: the same again, then on', () => {
    expect(loads({ kind: 'misses', week: 3 })).toEqual([
      at(100),
      at(102.5),
      at(105, 'miss'),
      at(105),
      at(107.5),
    ])
  })
  test('away for a week on the own clock: nothing moves', () => {
    expect(loads({ kind: 'away', week: 2 })).toEqual([
      at(100),
      at(102.5, 'skip'),
      at(102.5),
      at(105),
      at(107.5),
    ])
  })
  test('away for a week on a calendar where missed weeks are done again: the plan is a week longer', () => {
    const again = templateOf({ missed: 'shift' })
    expect(loads({ kind: 'away', week: 2 }, again, 'calendar')).toEqual([
      at(100),
      at(102.5, 'skip'),
      at(102.5),
      at(105),
      at(107.5),
      at(110),
    ])
  })
  test('away for a week with a step back after an absence: 10% off in the first week back', () => {
    const back = templateOf({ away: { weeks: 2, back: -10 } })
    // The week away ends a fortnight after the last session: 102.5 − 10% is 92.25, nearest 92.5; then on from 102.5.
    expect(loads({ kind: 'away', week: 2 }, back)[2]).toBe(at(92.5))
    expect(loads({ kind: 'away', week: 2 }, back)[3]).toBe(at(102.5))
  })
  test('better than planned moves a rule of reps sooner', () => {
    const step = { kg: 2.5, lb: 5 }
    const params = { startLoad: { kg: 100, lb: 220 }, advanceWhen: 'allAtTop', step, misses: 2, resetBy: 10 }
    const double = templateOf({
      progressions: { squat: { stages: [{ id: 'one', rule: 'doubleProgression', params }] } },
      slots: {
        squat: {
          exercise: 'backSquat',
          uses: [{ progression: 'squat' }],
          rows: { p: [[{ sets: 3, goal: { reps: { from: 4, to: 6 } }, load: { of: 'progression' } }]] },
        },
      },
    })
    const loadsOf = (suppose: Supposed) =>
      loads(suppose, double).map((line) => Number(/@ ([\d.]+)/.exec(line)?.[1]))
    expect(loadsOf({ kind: 'toPlan' })).toEqual([100, 100, 100, 102.5, 102.5])
    expect(loadsOf({ kind: 'better' })).toEqual([100, 102.5, 105, 107.5, 110])
  })
})

describe('two schemes', () => {
  test('are compared in sets, reps, tonnage, minutes and nearness to the limit, by hand', () => {
    const template = templateOf()
    const enrolment = { id: 'e', segments: [{ from: start, version: 'v' }] }
    const { plans } = planMember({
      library,
      member: { facts: [], logs: [] },
      enrolments: [enrolment],
      versions: { v: template },
      when: { today: start, through: 'end' },
    })
    const [first] = tallyOf(library, template, plans.e as NonNullable<typeof plans.e>, 'squat', {
      value: 140,
      unit: 'kg',
    })
    // 15 reps of 100 kg; 100 × (1 + 5 ÷ 30) = 116.67 of 140 is 83.3%; 90 s to set up, three sets of 15 s with 90 s between.
    expect(first).toMatchObject({
      week: 1,
      sets: 3,
      reps: 15,
      tonnage: { value: 1500, unit: 'kg' },
      minutes: 5,
    })
    expect(first?.nearness).toBeCloseTo(83.33, 1)
  })
})

test('a plan that is written out as far as one week says of that week what the whole plan says', () => {
  for (const name of fixtureNames) {
    const { library, versions, file, today } = readFixture(name)
    const whole = planMember({
      library,
      member: file.member,
      enrolments: file.enrolments,
      versions,
      when: { today, through: 'end' },
    }).plans
    for (const [id, { weeks }] of Object.entries(whole)) {
      for (const { phase, phaseWeek } of weeks) {
        const near = planMember({
          library,
          member: file.member,
          enrolments: file.enrolments,
          versions,
          when: {
            today,
            through: { phase, phaseWeek },
          },
        }).plans[id]
        const of = (plan: typeof weeks) =>
          plan.findLast((week) => week.phase === phase && week.phaseWeek === phaseWeek)
        expect([name, of(near?.weeks ?? [])]).toEqual([name, of(weeks)])
      }
    }
  }
})
