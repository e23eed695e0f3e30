import { describe, expect, test } from '@jest/globals'
import { inputOf, readFixture } from '../../fixtures/read.ts'
import type { Enrolment } from '../member/index.ts'
import { planMember, type PlanInput } from '../plan/index.ts'
import type { Template } from '../template/index.ts'
import { impactOf, maxesRead, type Impact, type Seen } from './impactOf.ts'

// Squat max 100; four weeks of two sessions, 3 × 5 at 80%: 80 kg. Week 1 is done, of week 2 the first session.
const fixture = readFixture('a-program-replaced-by-another')
const strength: Enrolment = { id: 'strength', segments: [{ from: '2026-03-02', version: 'template' }] }
const today = '2026-03-10'
const base = (): PlanInput => {
  const input = inputOf(fixture)
  const logs = input.member.logs.filter(({ date }) => date < today)
  return {
    ...input,
    member: { ...input.member, logs },
    enrolments: [strength],
    when: { today, through: 'near' },
  }
}
const seen = (input: PlanInput): Seen => ({ input, planned: planMember(input) })
const change = (template: Template, percent: number): Template => {
  const changed = structuredClone(template)
  for (const prescription of Object.values(changed.slots).flatMap(({ rows }) => Object.values(rows).flat(2)))
    if (prescription.load.of === 'max') prescription.load.percent = percent
  return changed
}
const impact = (input: PlanInput, change: Partial<PlanInput>, enrolment = 'strength'): Impact => {
  const then = { ...input, ...change }
  const version = then.enrolments.find(({ id }) => id === enrolment)?.segments.at(-1)?.version ?? ''
  const reads = maxesRead(then.library, then.versions[version] as Template)
  return impactOf(seen(input), seen(then), enrolment, reads)
}
const withVersion = (percent: number) => {
  const { versions } = fixture
  return {
    versions: { ...versions, heavier: change(versions.template as Template, percent) },
    enrolments: [
      {
        ...strength,
        segments: [...strength.segments, { from: today, version: 'heavier', begins: 'session' as const }],
      },
    ],
  }
}

describe('the impact on one member', () => {
  test('of a heavier version is each set that changes in the two weeks, and by how much', () => {
    const { lines, ...rest } = impact(base(), withVersion(85))
    expect(lines.map(({ week, day, before, after }) => [week, day, before, after])).toEqual([
      [2, 2, '3 × 5 @ 80 kg', '3 × 5 @ 85 kg'],
      [3, 1, '3 × 5 @ 80 kg', '3 × 5 @ 85 kg'],
      [3, 2, '3 × 5 @ 80 kg', '3 × 5 @ 85 kg'],
    ])
    // 85 is 6.25% more than 80.
    expect(rest).toEqual({
      is: 'moves',
      changed: 3,
      jump: { lift: { exercise: 'backSquat' }, from: '3 × 5 @ 80 kg', to: '3 × 5 @ 85 kg', percent: 6 },
      needs: [],
      short: [],
      longer: null,
      isMidWeek: true,
      isDeload: false,
      isPaused: false,
      keepsTrack: false,
      beside: [],
      ends: [],
      follows: [],
      findings: [],
    })
  })

  test('of a version that asks the same is nothing', () => {
    expect(impact(base(), withVersion(80))).toMatchObject({ is: 'same', changed: 0, jump: null })
  })

  test('of a program whose last week is done is nothing, and says so', () => {
    const short = structuredClone(fixture.versions.template as Template)
    for (const phase of short.phases) phase.weeks = 1
    const input = { ...base(), versions: { ...fixture.versions, template: short } }
    const { enrolments, versions } = withVersion(85)
    const changed = change(short, 85)
    expect(
      impact(input, { versions: { ...versions, template: short, heavier: changed }, enrolments }),
    ).toMatchObject({ is: 'done', lines: [], jump: null })
  })

  test('of another program that replaces theirs says what ends; lighter sets of more reps are no jump', () => {
    const enrolments: Enrolment[] = [
      { ...strength, to: today },
      { id: 'eights', segments: [{ from: today, version: 'template-2' }] },
    ]
    const { lines, ...rest } = impact(base(), { enrolments }, 'eights')
    expect(lines.map(({ before, after }) => [before, after])).toEqual([
      [null, '2 × 8 @ 60 kg'],
      [null, '2 × 8 @ 60 kg'],
    ])
    // 60 × 8 supposes a max of 76, 80 × 5 one of 93.3.
    expect(rest).toMatchObject({ is: 'starts', jump: null, ends: ['Strength'], beside: [], isMidWeek: false })
    expect(impact(base(), { enrolments: [strength, enrolments[1] as Enrolment] }, 'eights')).toMatchObject({
      ends: [],
      beside: ['Strength'],
    })
  })

  test('of somebody without a max is the max that is lacking', () => {
    const input = base()
    const facts = input.member.facts.filter(({ kind }) => kind !== 'max')
    const without = { ...input, member: { facts, logs: [] }, enrolments: [] }
    expect(impact(without, { enrolments: [strength] })).toMatchObject({
      is: 'starts',
      needs: [{ exercise: 'backSquat' }],
      lines: [{ before: null, after: '3 × 5 @ ?' }, {}, {}, {}],
    })
  })

  test('of what asks far more than was lifted lately is held against that', () => {
    const input = { ...base(), enrolments: [] }
    // The last session was 3 × 5 at 80, which says 93.3; one at 95% is 95 × 5, or 110.8: 19% more. And it is beyond the max.
    const { versions } = withVersion(95)
    const enrolments: Enrolment[] = [{ id: 'next', segments: [{ from: today, version: 'heavier' }] }]
    const found = impact({ ...input, versions }, { enrolments }, 'next')
    expect(found.jump).toEqual({
      lift: { exercise: 'backSquat' },
      from: 'e1RM 93.3 kg',
      to: '3 × 5 @ 95 kg',
      percent: 19,
    })
    expect(found.findings.map(({ what }) => what).join()).toMatch(/a 1RM of 100 kg allows 87 kg/)
  })

  test('of longer sessions is said from ten minutes on', () => {
    const { versions } = fixture
    const longer = structuredClone(versions.template as Template)
    for (const prescription of Object.values(longer.slots).flatMap(({ rows }) => Object.values(rows).flat(2)))
      prescription.sets = 9
    const { enrolments } = withVersion(80)
    const found = impact(base(), { versions: { ...versions, heavier: longer }, enrolments })
    expect(found.longer?.session).toBe('Session A')
    // Six sets more of 5 reps of 3 s with 90 s of rest: 10.5 minutes.
    expect((found.longer?.after ?? 0) - (found.longer?.before ?? 0)).toBeGreaterThanOrEqual(10)
  })
})
