// Figures of a member's logs, each by hand: a squat three times a week, planned with a deload in the fourth.
import type { SessionLog, SetLog } from '../member/index.ts'
import type { Answers } from '../progressions/index.ts'
import { describe, expect, test } from '@jest/globals'
import type { Fact, FactBody, Member } from '../facts/index.ts'
import { planMember, snapshot, type Plan } from '../plan/index.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { addDays, type Day } from '../units/index.ts'
import { readSignals } from './readSignals.ts'
import type { Signals } from './signals.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const { template: read } = readTemplate({
  format: 2,
  name: 'Squats',
  phases: [
    {
      id: 'p',
      name: 'P',
      weeks: 8,
      rotation: ['a'],
      perWeek: 1,
      deloads: [{ id: 'l', do: { kind: 'scaleLoad', by: -20 }, where: { weeks: [4] } }],
    },
  ],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: {
    squat: {
      exercise: 'backSquat',
      uses: [{ progression: 'squat' }],
      rows: { p: [[{ sets: 2, goal: { reps: 5 }, load: { of: 'progression' }, rir: 2 }]] },
    },
  },
  progressions: {
    squat: {
      stages: [
        {
          id: 'one',
          rule: 'linear',
          params: { startLoad: { kg: 100, lb: 220 }, step: { kg: 5, lb: 10 }, misses: 3, resetBy: 10 },
        },
      ],
    },
  },
})
const template = read as Template
const enrolment = { id: 'e', segments: [{ from: start, version: 'v' }] }

type Done = { reps: number[]; more?: Partial<SetLog>; answers?: Answers }

/** One session a week, shown as the app does and then logged so. */
function train(weeks: Done[], facts: Fact[] = []): Member {
  const member: Member = { facts, logs: [] }
  weeks.forEach(({ reps, more, answers }, i) => {
    const date = addDays(start, 7 * i)
    const { plans } = planMember({
      library,
      member,
      enrolments: [enrolment],
      versions: { v: template },
      when: { today: date, through: 'end' },
    })
    const plan = plans.e as Plan
    const shown = snapshot(plan, i + 1) as NonNullable<SessionLog['shown']>
    const load = shown.slots.squat?.sets[0]?.load ?? undefined
    member.logs.push({
      id: `e:${i + 1}:1`,
      rev: 1,
      date,
      enrolment: 'e',
      position: i + 1,
      attempt: 1,
      ordinal: 1,
      closed: true,
      shown,
      sets: reps.map((count, n) => ({
        id: `e:${i + 1}:1:squat:${n + 1}`,
        rev: 1,
        slot: 'squat',
        n: n + 1,
        exercise: 'backSquat',
        state: 'done',
        ...(load && { load }),
        reps: count,
        ...more,
      })),
      ...(answers && { answers }),
    })
  })
  return member
}

let count = 0
const fact = (date: Day, body: FactBody): Fact => {
  count += 1
  return { id: `f${count}`, rev: 1, date, actsFrom: date, ...body } as Fact
}
function signals(member: Member, weeksOn: number): Signals {
  const today = addDays(start, 7 * weeksOn)
  const planned = planMember({
    library,
    member,
    enrolments: [enrolment],
    versions: { v: template },
    when: { today, through: 'end' },
  })
  return readSignals(member, planned, 'e', template, today)
}
const hit: Done = { reps: [5, 5], more: { rir: 2 } }
const miss: Done = { reps: [5, 3], more: { rir: 0 } }

describe('signals', () => {
  test('of nobody’s logs are empty', () => {
    expect(signals({ facts: [], logs: [] }, 0)).toMatchObject({
      lifts: [],
      daysAWeek: 0,
      weeksTrained: 0,
      weeksSinceDeload: null,
      plannedDeloadIn: 3,
      phase: { weeksIn: 1, hasNext: false },
    })
  })
  test('of hits rise with the loads, and of a deload none are counted', () => {
    const seen = signals(train([hit, hit, hit, hit, hit]), 5)
    // 100, 105, 110 and, the deload left out, 115: 5 reps @ 2 RIR stand for 37 ÷ 30 of each.
    expect(seen.lifts).toMatchObject([
      { exposures: 4, missesInARow: 0, sinceBest: 0, isShort: false, rirDrift: 0 },
    ])
    expect(seen.lifts[0]?.change).toBeCloseTo((100 * (112.5 - 102.5)) / 102.5, 0)
    expect(seen).toMatchObject({ weeksSinceDeload: 2, weeksTrained: 5, usualRir: 2, daysAWeek: 0.8 })
  })
  test('of misses count those in a row, and reps left against those asked', () => {
    const [lift] = signals(train([hit, hit, miss]), 3).lifts
    expect(lift).toMatchObject({ missesInARow: 1, isShort: true, rirDrift: -0.7 })
    expect(signals(train([hit, miss, miss]), 3).lifts[0]?.missesInARow).toBe(2)
  })
  test('take answers: how hard, the muscle that was worked too much twice, and what is still sore', () => {
    const said = (answers: Answers): Done => ({ ...hit, answers })
    const seen = signals(
      train([
        hit,
        said({ hard: 8, worked: { quads: 'too much', chest: 'too much' }, sore: { quads: 'still' } }),
        said({ hard: 9, worked: { quads: 'too much' }, sore: { quads: 'still', chest: 'still' } }),
      ]),
      3,
    )
    expect(seen).toMatchObject({ hardness: 8.5, tooMuch: 2, soreMuscles: ['quads'] })
  })
  test('name lifts that hurt in the last fortnight, and forget those before', () => {
    const pain: Done = { ...hit, more: { pain: true } }
    expect(signals(train([hit, pain]), 2).pains).toEqual([{ exercise: 'backSquat' }])
    expect(signals(train([pain, hit, hit, hit]), 4).pains).toEqual([])
  })
  test('look three weeks back for check-ins and four ahead for events', () => {
    const facts = [
      fact(addDays(start, -1), { kind: 'checkIn', sleep: 1 }),
      fact(addDays(start, 20), { kind: 'checkIn', sleep: 2, sore: ['back'] }),
      fact(addDays(start, 21), { kind: 'checkIn', sleep: 3, sore: ['back'] }),
      fact(start, { kind: 'event', what: 'exams', on: addDays(start, 80) }),
      fact(start, { kind: 'event', what: 'trip', on: addDays(start, 33) }),
      fact(start, { kind: 'about', overForty: true }),
    ]
    const seen = signals(train([hit, hit, hit], facts), 3)
    expect(seen.checkIns.map(({ sleep }) => sleep)).toEqual([3, 2])
    expect(seen).toMatchObject({
      soreMuscles: ['back'],
      event: { what: 'trip', inWeeks: 1 },
      about: { overForty: true },
      plannedDeloadIn: 0,
    })
  })
})
