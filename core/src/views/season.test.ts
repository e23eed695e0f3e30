import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { planMember, type Plan } from '../plan/index.ts'
import { seasonOf } from './season.ts'
import { hasPlace, placesOf } from '../calendar/index.ts'
import { lettersOf, readTemplate, type Template } from '../template/index.ts'
import { comesNext } from './comesNext.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const fixture = (name: string, change: (file: Template) => void = () => undefined): Template => {
  const file = JSON.parse(
    readFileSync(new URL(`../../fixtures/${name}/template.json`, import.meta.url), 'utf8'),
  )
  change(file)
  return readTemplate(file).template as Template
}

describe('a season', () => {
  test('sums hard sets and the mean percent of the 1RM, after the deload’s changes', () => {
    const [first, , , deload] = seasonOf(library, fixture('amrap-set-and-deload'))
    // By hand: 3 sets at 74% and 1 at 78% of a 90% training max, and 3 rows without a percent: (3×66.6 + 70.2) / 4.
    expect(first).toMatchObject({ week: 1, phaseWeek: 1, deload: false, sets: 7 })
    expect(first?.intensity).toBeCloseTo(67.5, 10)
    // Light, by points of the training max: 2 sets at 64% and 1 at 68% of 90%: (2×57.6 + 61.2) / 3.
    expect(deload).toMatchObject({ deload: true, sets: 5 })
    expect(deload?.intensity).toBeCloseTo(58.8, 10)
  })
  test('counts no conditioning as hard sets', () => {
    const sets = (exercise: string) =>
      seasonOf(
        library,
        fixture('amrap-set-and-deload', (file) => {
          for (const slot of Object.values(file.slots)) Object.assign(slot, { exercise })
        }),
      )[0]?.sets
    expect([sets('benchPress'), sets('burpee')]).toEqual([7, 0])
  })
  test('says that its sets are only about as many where a rule writes some', () => {
    const isAbout = (name: string) => seasonOf(library, fixture(name)).map((week) => week.isAbout)
    expect(isAbout('squares-and-scheme-ladders')).toEqual(Array(8).fill(true))
    expect(isAbout('two-sessions-one-squat')).not.toContain(true)
  })
  test('says nothing of intensity where no load states a percent', () => {
    expect(seasonOf(library, fixture('two-sessions-one-squat'))[0]).toMatchObject({
      sets: 16,
      intensity: null,
    })
  })
})

describe('places', () => {
  // Common practice, no source: A/B on three days gives A B A, then B A B.
  test('of two sessions on three days turn over the weeks', () => {
    const places = placesOf(fixture('two-sessions-one-squat'))
    expect(places.map(({ session }) => session).join(' ')).toBe('a b a b a b')
    expect(places.map(({ week, inWeek }) => `${week}.${inWeek}`)).toEqual([
      '1.1',
      '1.2',
      '1.3',
      '2.1',
      '2.2',
      '2.3',
    ])
  })
  test('of a three-session rotation on five days keep the order of the sessions', () => {
    const template = fixture('two-sessions-one-squat', (file) => {
      const [phase] = file.phases
      if (phase) Object.assign(phase, { rotation: ['a', 'b', 'a'], perWeek: 5 })
    })
    expect(
      placesOf(template)
        .map(({ session }) => session)
        .join(''),
    ).toBe('abaabaabaa')
    const [phase] = template.phases
    expect(phase && [hasPlace(phase, 1, 'b'), hasPlace(phase, 2, 'b')]).toEqual([true, true])
  })
})

describe('letters', () => {
  test('are given in order, with numbers where neighbours alternate', () => {
    const template = fixture('a-missing-max', (file) => {
      for (const id of ['press', 'pull']) Object.assign(file.slots[id] ?? {}, { superset: 'x' })
    })
    const lines = (template.sessions.d?.sections ?? []).flatMap(({ slots }) =>
      slots.map((id) => ({ slot: template.slots[id] ?? {} })),
    )
    expect(lettersOf(lines)).toEqual(['A', 'B1', 'B2', 'C'])
  })
})

describe('what comes next', () => {
  test('is the lift’s next place, with the rung that moved it', () => {
    const template = fixture('two-sessions-one-squat')
    const sets = [1, 2, 3].map((n) => ({
      id: `s${n}`,
      rev: 1,
      slot: 'a-squat',
      n,
      state: 'done' as const,
      exercise: 'backSquat' as const,
      load: { value: 60, unit: 'kg' as const },
      reps: 5,
    }))
    const log = {
      id: 'e:1:1',
      rev: 1,
      date: '2026-03-02',
      enrolment: 'e',
      position: 1,
      attempt: 1,
      ordinal: 1,
      closed: true,
      sets,
    }
    const enrolment = { id: 'e', segments: [{ from: '2026-03-02', version: 'v' }] }
    const plan = planMember({
      library,
      member: { facts: [], logs: [log] },
      enrolments: [enrolment],
      versions: { v: template },
      when: { today: '2026-03-02', through: 'end' },
    }).plans.e as Plan
    const first = plan.weeks[0]?.places[0]
    const [move] = first ? comesNext(plan, first) : []
    // The squat stands in the next session too, B: 60 kg was a hit, so 62.5 kg.
    expect(move).toMatchObject({
      slot: { slot: 'a-squat' },
      then: { name: 'B', week: 1, inWeek: 2 },
      reason: { id: 'steady.step', data: { date: '2026-03-02' } },
    })
    expect(move?.then?.sets[0]?.load).toEqual({ value: 62.5, unit: 'kg' })
  })
})
