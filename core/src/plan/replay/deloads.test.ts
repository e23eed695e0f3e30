// Deloads that members put in or leave out, and phases that they leave: 3 × 5 at 75% of 100 kg, planned deloads at 20% less.
import { describe, expect, test } from '@jest/globals'
import type { SessionLog } from '../../member/index.ts'
import type { Fact } from '../../facts/index.ts'
import { readTemplate, type Template } from '../../template/index.ts'
import { addDays, type Day } from '../../units/index.ts'
import { factsFrom, squatOf100 } from '../../testing/facts.ts'
import { planMember } from '../planMember.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const easy = (id: string, week: number, more: object = { kind: 'scaleLoad', by: -20 }) => ({
  id,
  do: more,
  where: { weeks: [week] },
})
const phase = (id: string, weeks: number, deload: object[]) => ({
  id,
  name: id,
  weeks,
  rotation: ['a'],
  perWeek: 2,
  deloads: deload,
})
const rows = (percent: number) => [[{ sets: 3, goal: { reps: 5 }, load: { of: 'max', percent } }]]
const { template } = readTemplate({
  format: 2,
  name: 'Deloads',
  phases: [
    phase('p', 4, [easy('l2', 2), easy('l4', 4), easy('d4', 4, { kind: 'fewerDays', days: 1 })]),
    phase('q', 2, []),
  ],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: { squat: { exercise: 'backSquat', rows: { p: rows(75), q: rows(90) } } },
})

const fact = factsFrom(start)
const max = fact(0, squatOf100)
/** A session in which every set was done, at whatever load. */
const log = (position: number, day: number): SessionLog => ({
  id: `e:${position}:1`,
  rev: 1,
  date: addDays(start, day),
  enrolment: 'e',
  position,
  attempt: 1,
  ordinal: 1,
  closed: true,
  sets: [1, 2, 3].map((n) => ({
    id: `e:${position}:1:squat:${n}`,
    rev: 1,
    slot: 'squat',
    n,
    exercise: 'backSquat',
    state: 'done',
    load: { value: 75, unit: 'kg' },
    reps: 5,
  })),
})

/** The load of each week's places still to come, by week: "75 75", "-" where nothing is trained. */
function weeks(facts: Fact[], logs: SessionLog[], today: Day, clock: 'own' | 'calendar' = 'own'): string[] {
  const enrolment = { id: 'e', clock, segments: [{ from: start, version: 'v' }] }
  const when = { today, through: 'end' } as const
  const { plans } = planMember({
    library,
    member: { facts: [max, ...facts], logs },
    enrolments: [enrolment],
    versions: { v: template as Template },
    when,
  })
  return (plans.e?.weeks ?? []).map(({ week, places }) => {
    const loads = places.map(({ slots, status }) =>
      status === 'trained' ? '✓' : (slots[0]?.sets[0]?.load?.value ?? '-'),
    )
    return `${week}: ${loads.join(' ')}`
  })
}
const first = [log(1, 0), log(2, 3)]

describe('a planned deload', () => {
  test('stands as it is planned, with fewer days where it says so', () => {
    expect(weeks([], first, addDays(start, 4))).toEqual([
      '1: ✓ ✓',
      '2: 60 60',
      '3: 75 75',
      '4: 60',
      '5: 90 90',
      '6: 90 90',
    ])
  })
  test('is trained as it is written where the member says so, and only the next one', () => {
    const all = weeks([fact(4, { kind: 'skipDeload' })], first, addDays(start, 4))
    expect([all[1], all[3]]).toEqual(['2: 75 75', '4: 60'])
  })
  test('with fewer days has all of them again', () => {
    const trained = [...first, log(3, 7), log(4, 10), log(5, 14), log(6, 17)]
    const all = weeks([fact(18, { kind: 'skipDeload' })], trained, addDays(start, 18))
    expect(all[3]).toBe('4: 75 75')
  })
  test('behind a deload reads its own row, although deloads do not act in it', () => {
    const byWeek = [70, 50, 80, 85].map((percent) => rows(percent)[0])
    const stepped = {
      ...(template as Template),
      slots: {
        squat: {
          ...(template as Template).slots.squat,
          rows: { ...(template as Template).slots.squat?.rows, p: byWeek },
        },
      },
    } as unknown as Template
    const enrolment = { id: 'e', segments: [{ from: start, version: 'v' }] }
    const facts = [
      max,
      fact(12, { kind: 'deload', changes: [{ kind: 'scaleSets', by: -50, round: 'down' }], shift: false }),
    ]
    const logs = [...first, log(3, 7), log(4, 10)]
    const { plans } = planMember({
      library,
      member: { facts, logs },
      enrolments: [enrolment],
      versions: { v: stepped },
      when: { today: addDays(start, 13), through: 'end' },
    })
    // The third week is a spell of the member's own at the third row's 80%; the second was the plan's deload.
    expect(plans.e?.weeks[2]?.places[0]?.slots[0]?.sets[0]?.load?.value).toBe(80)
  })
  test('that has begun keeps what it began as', () => {
    const begun = [...first, log(3, 7)]
    const all = weeks([fact(8, { kind: 'skipDeload' })], begun, addDays(start, 8))
    expect([all[1], all[3]]).toEqual(['2: ✓ 60', '4: 75 75'])
  })
})

describe('a phase', () => {
  test('is over with the running week where the member goes on to the next', () => {
    const all = weeks([fact(4, { kind: 'nextPhase', phase: 'p' })], [log(1, 0)], addDays(start, 4))
    expect(all).toEqual(['1: ✓ 75', '2: 90 90', '3: 90 90'])
  })
  test('that was never begun is passed over by nobody: a word about another phase does nothing', () => {
    const all = weeks([fact(4, { kind: 'nextPhase', phase: 'gone' })], first, addDays(start, 4))
    expect(all).toHaveLength(6)
  })
})

describe('a deload of the member’s own', () => {
  const ownDeload = (shift: boolean, back: number[] = []): Fact =>
    fact(4, { kind: 'deload', changes: [{ kind: 'scaleLoad', by: -40 }], shift, weeks: 2, back })

  test('is put in before the plan’s weeks, which then stand whole, and comes back in steps', () => {
    expect(weeks([ownDeload(true, [-10])], first, addDays(start, 4))).toEqual([
      '1: ✓ ✓',
      '2: 45 45',
      '3: 45 45',
      // The plan's own second week is light already: 75 − 20% is 60, and 10% off that on the way back is 54, nearest 55.
      '4: 55 55',
      '5: 75 75',
      '6: 60',
      '7: 90 90',
      '8: 90 90',
    ])
  })
  test('on a calendar makes the plan’s own weeks light in place of what it has there, and the plan no longer', () => {
    const all = weeks([ownDeload(false)], first, addDays(start, 4), 'calendar')
    expect(all.slice(1, 4)).toEqual(['2: 45 45', '3: 45 45', '4: 60'])
    expect(all).toHaveLength(6)
  })
  test('is the same in whatever order its entries arrive', () => {
    const facts = [
      ownDeload(true, [-10]),
      fact(4, { kind: 'skipDeload' }),
      fact(5, { kind: 'nextPhase', phase: 'p' }),
    ]
    expect(weeks([...facts].reverse(), [...first].reverse(), addDays(start, 6))).toEqual(
      weeks(facts, first, addDays(start, 6)),
    )
  })
})
