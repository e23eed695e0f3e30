// Which rule has a lift: stages, offers that were taken, phases with a rule of their own, technique that is waited for.
import { describe, expect, test } from '@jest/globals'
import type { SessionLog, SetLog } from '../../member/index.ts'
import { explain } from '../../explain/index.ts'
import type { Fact } from '../../facts/index.ts'
import { readTemplate, type Template } from '../../template/index.ts'
import { addDays } from '../../units/index.ts'
import { planMember, type Planned } from '../planMember.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const step = { kg: 5, lb: 10 }
const linear = { startLoad: { kg: 100, lb: 220 }, step, misses: 2, resetBy: 10 }
const phase = (id: string) => ({ id, name: id, weeks: 2, rotation: ['a'], perWeek: 1 })
const rows = [[{ sets: 1, goal: { reps: 5 }, load: { of: 'progression' } }]]

function templateOf(progression: object): Template {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'One lift',
    phases: ['p', 'q', 'r'].map(phase),
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
    slots: {
      squat: { exercise: 'backSquat', uses: [{ progression: 's' }], rows: { p: rows, q: rows, r: rows } },
    },
    progressions: { s: progression },
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}

/** One session a week with these sets; the plan of the day after the last. */
function plan(progression: object, sets: Partial<SetLog>[], facts: Fact[] = []): Planned {
  const logs = sets.map((set, i): SessionLog => ({
    id: `e:${i + 1}:1`,
    rev: 1,
    date: addDays(start, 7 * i),
    enrolment: 'e',
    position: i + 1,
    attempt: 1,
    ordinal: 1,
    closed: true,
    sets: [
      {
        id: `e:${i + 1}:1:squat:1`,
        rev: 1,
        slot: 'squat',
        n: 1,
        exercise: 'backSquat',
        state: 'done',
        reps: 5,
        ...set,
      },
    ],
  }))
  const enrolment = { id: 'e', segments: [{ from: start, version: 'v' }] }
  const today = addDays(start, Math.max(0, 7 * sets.length - 6))
  return planMember({
    library,
    member: { facts, logs },
    enrolments: [enrolment],
    versions: { v: templateOf(progression) },
    when: { today, through: 'end' },
  })
}
const prescriptions = ({ plans }: Planned) =>
  (plans.e?.weeks ?? []).flatMap(({ places }) =>
    places.flatMap(({ slots }) => slots.flatMap((slot) => slot.sets)),
  )
const loads = (planned: Planned) => prescriptions(planned).map(({ load }) => load?.value)
const why = (planned: Planned, week: number) =>
  (prescriptions(planned)[week - 1]?.why ?? []).map(explain).join('; ')
const kg = (value: number) => ({ load: { value, unit: 'kg' as const } })

describe('a phase with a rule of its own', () => {
  const own = { startLoad: { kg: 60, lb: 135 }, startLast: 80, hits: 2, step, misses: 2, resetBy: 10 }
  const progression = {
    stages: [{ id: 'one', rule: 'linear', params: { ...linear, startLast: 100 } }],
    inPhases: [{ phase: 'q', rule: 'stepBand', params: own }],
  }
  test('has it while it lasts, and gives it back with the last load and nothing else', () => {
    const planned = plan(progression, [kg(100), kg(105)])
    // 80% of the last 105 is 84, nearest 85, twice; then all of the last 84 again, and a step.
    expect(loads(planned)).toEqual([100, 105, 85, 85, 85, 90])
    expect(why(planned, 3)).toContain('this phase has its own progression for the lift: Step loading')
    expect(why(planned, 5)).toContain('the phase with its own progression is over: Linear from here')
  })
})

describe('a stage that waits for good technique', () => {
  const progression = { stages: [{ id: 'one', rule: 'linear', params: linear, waits: 'technique' }] }
  test('steps only after a hit with a good rating, and says what it waits for', () => {
    const unmarked = plan(progression, [kg(100)])
    expect(loads(unmarked)[1]).toBe(100)
    expect(why(unmarked, 2)).toContain('has no good technique rating: the load stays until a hit has one')
    const poor = plan(progression, [{ ...kg(100), technique: 'poor' }])
    expect(why(poor, 2)).toContain('was rated poor: the load stays until it is good')
    const good = plan(progression, [{ ...kg(100), technique: 'good' }])
    expect([loads(good)[1], why(good, 2).includes('technique')]).toEqual([105, false])
  })
  test('counts a miss, however it was done', () => {
    const missed = plan(progression, [
      { ...kg(100), reps: 3, technique: 'good' },
      { ...kg(100), reps: 3 },
    ])
    expect(loads(missed)[2]).toBe(90)
  })
})

describe('an offer', () => {
  const progression = {
    stages: [
      {
        id: 'one',
        rule: 'linear',
        params: linear,
        until: { trigger: 'stalled', misses: 1, of: 1 },
        offers: true,
      },
      { id: 'two', rule: 'linear', params: { ...linear, startLast: 90 } },
    ],
  }
  const taken: Fact = {
    id: 'taken',
    rev: 1,
    date: addDays(start, 1),
    actsFrom: addDays(start, 1),
    kind: 'handover',
    progression: 's',
    stage: 'two',
  }
  const missed = [{ ...kg(100), reps: 3 }]
  test('stands while its sign shows, with what would follow, and changes nothing by itself', () => {
    const planned = plan(progression, missed)
    expect(planned.offers).toMatchObject([
      { progression: 's', stage: 'two', lift: { exercise: 'backSquat' } },
    ])
    expect(planned.offers[0]?.say).toBe(
      'Back squat has outgrown “Linear”, as a lift does when an exposure is missed.',
    )
    expect(loads(planned)[1]).toBe(100)
    expect(plan(progression, [...missed, kg(100)]).offers).toEqual([])
  })
  test('once taken has the lift from the next session, stands no more, and stays taken after a hit', () => {
    const planned = plan(progression, missed, [taken])
    expect([loads(planned)[1], planned.offers]).toEqual([90, []])
    expect(why(planned, 2)).toContain('the offer of the next progression was accepted')
    expect(loads(plan(progression, [...missed, kg(90)], [taken]))[2]).toBe(95)
  })
  test('that nobody has made is no offer: a word about another stage does nothing', () => {
    expect(loads(plan(progression, missed, [{ ...taken, stage: 'three' }] as Fact[]))[1]).toBe(100)
  })
})
