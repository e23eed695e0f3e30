// Places have names: a session stands where it says, whatever the plan of its day would have there. Squats by week: 70, 72, 74 … % of 100 kg.
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Fact } from '../../facts/index.ts'
import { placeNamed, sessionLogId, setLogId, type PlaceName, type SessionLog } from '../../member/index.ts'
import { readTemplate, type Template } from '../../template/index.ts'
import { addDays, type Day } from '../../units/index.ts'
import { factsFrom, squatOf100 } from '../../testing/facts.ts'
import { planMember, type Planned } from '../planMember.ts'
import { snapshot } from '../snapshot.ts'
import type { Plan } from '../types.ts'

const start = '2026-03-02'
const rows = (from: number, weeks: number) =>
  Array.from({ length: weeks }, (_, i) => [
    { sets: 2, goal: { reps: 5 }, load: { of: 'max', percent: from + 2 * i } },
  ])
const read = (p: object, perWeek: number): Template => {
  const { template, issues } = readTemplate({
    format: 2,
    name: 'Named places',
    phases: [
      { id: 'p', name: 'P', rotation: ['a'], perWeek, ...p },
      { id: 'q', name: 'Q', weeks: 3, rotation: ['a'], perWeek },
    ],
    sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat', 'press'] }] } },
    slots: {
      squat: {
        exercise: 'backSquat',
        rows: { p: rows(70, 6), q: rows(90, 3) },
      },
      press: {
        exercise: 'overheadPress',
        uses: [{ progression: 'lift', role: 'main' }],
        rows: Object.fromEntries(
          ['p', 'q'].map((id) => [id, [[{ sets: 1, goal: { reps: 5 }, load: { of: 'progression' } }]]]),
        ),
      },
    },
    progressions: {
      lift: {
        stages: [
          {
            id: 'one',
            rule: 'linear',
            params: { startLoad: { kg: 60, lb: 130 }, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10 },
          },
        ],
      },
    },
  })
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}
const six = read({ weeks: 6 }, 2)
const bySign = read(
  { weeks: { least: 2, most: 6, until: { trigger: 'stalled', progression: 'lift', misses: 1, of: 1 } } },
  1,
)

const fact = factsFrom(start)
const max = fact(0, squatOf100)
const deloadOn = (day: number, id: string, weeks = 1): Fact =>
  fact(day, { kind: 'deload', changes: [{ kind: 'scaleLoad', by: -20 }], shift: true, weeks }, id)

const planned = (template: Template, facts: Fact[], logs: SessionLog[], today: Day): Planned =>
  planMember({
    library: {},
    member: { facts: [max, ...facts], logs },
    enrolments: [{ id: 'e', segments: [{ from: start, version: 'v' }] }],
    versions: { v: template },
    when: { today, through: 'end' },
  })
const planOf = (...given: Parameters<typeof planned>): Plan => planned(...given).plans.e as Plan

/** What a phone makes of the session that its plan has next: started and done as asked. */
function train(template: Template, known: Fact[], logs: SessionLog[], date: Day, done = true): SessionLog {
  const plan = planOf(template, known, logs, date)
  const shown = snapshot(plan, plan.next ?? 0)
  const at = shown && placeNamed({ shown })
  if (!shown || !at) throw new Error('nothing comes next')
  const id = sessionLogId('e', at, 1)
  const sets = Object.entries(shown.slots).flatMap(([slot, { exercise, sets: asked }]) =>
    Array.from({ length: asked[0]?.sets ?? 0 }, (_, i) => ({
      id: setLogId(id, slot, i + 1),
      rev: 1,
      slot,
      n: i + 1,
      exercise,
      state: 'done' as const,
      load: asked[0]?.load ?? { value: 60, unit: 'kg' as const },
      reps: done ? 5 : 3,
    })),
  )
  return {
    id,
    rev: 1,
    date,
    enrolment: 'e',
    position: plan.next ?? 0,
    at,
    attempt: 1,
    ordinal: 1,
    closed: true,
    shown,
    sets,
  }
}

/** Each week in short: where it is named, and what stands on its days. */
const said = ({ weeks }: Plan): string[] =>
  weeks.map(({ phase, phaseWeek, inserted, places }) => {
    const name = `${phase}${phaseWeek}${inserted ? ` ${inserted.fact}.${inserted.week}` : ''}`
    const days = places.map(({ status, slots }) =>
      ['trained', 'skipped', 'dropped'].includes(status) ? status : (slots[0]?.sets[0]?.load?.value ?? '-'),
    )
    return `${name}: ${days.join(' ')}`
  })

/** Sessions of a phone on these days after the start; it knows of these facts. */
function trainOn(template: Template, known: Fact[], days: number[], before: SessionLog[] = []): SessionLog[] {
  const logs = [...before]
  for (const day of days) logs.push(train(template, known, logs, addDays(start, day)))
  return logs
}

describe('a deload that was put in', () => {
  const deload = deloadOn(4, 'd')
  const half = trainOn(six, [deload], [0, 3, 7])

  test('stays in the past, half-trained, where it was ended or taken back, and the plan goes on whole', () => {
    const want = ['p1: trained trained', 'p2 d.1: trained skipped', 'p2: 72.5 72.5']
    const today = addDays(start, 9)
    const ended = planOf(six, [deload, fact(8, { kind: 'endDeload', deload: 'd' })], half, today)
    const voided = planOf(six, [{ ...deload, rev: 2, void: true }], half, today)
    expect([said(ended).slice(0, 3), said(voided).slice(0, 3)]).toEqual([want, want])
    expect([ended.weeks.length, voided.weeks.length]).toEqual([10, 10])
  })
  test('that nobody has trained is gone where it was ended or taken back', () => {
    const two = half.slice(0, 2)
    const today = addDays(start, 6)
    const ended = planOf(six, [deload, fact(5, { kind: 'endDeload', deload: 'd' })], two, today)
    expect(said(ended).slice(0, 2)).toEqual(['p1: trained trained', 'p2: 72.5 72.5'])
  })
  test('is trained to its end by a phone that does not know that it was ended', () => {
    const logs = trainOn(six, [deload], [10, 14], half)
    const ended = planOf(six, [deload, fact(8, { kind: 'endDeload', deload: 'd' })], logs, addDays(start, 15))
    expect(said(ended).slice(0, 3)).toEqual([
      'p1: trained trained',
      'p2 d.1: trained trained',
      'p2: trained 72.5',
    ])
  })
})

describe('a phase that a trigger ends', () => {
  test('goes on where a phone has trained on, though a late correction ended it before', () => {
    const logs = trainOn(bySign, [], [0, 7, 14])
    const missed = logs.map((log, i) =>
      i === 1 ? { ...log, rev: 2, sets: log.sets.map((set) => ({ ...set, rev: 2, reps: 2 })) } : log,
    )
    expect(said(planOf(bySign, [], missed, addDays(start, 15))).slice(0, 4)).toEqual([
      'p1: trained',
      'p2: trained',
      'p3: trained',
      'q1: 90',
    ])
  })
  test('is over where a phone has trained the next one, though a late correction says that it was not', () => {
    const two = trainOn(bySign, [], [0])
    const miss = train(bySign, [], two, addDays(start, 7), false)
    const next = train(bySign, [], [...two, miss], addDays(start, 14))
    const hit = { ...miss, rev: 2, sets: miss.sets.map((set) => ({ ...set, rev: 2, reps: 5 })) }
    expect(placeNamed(next)).toEqual({ phase: 'q', week: 1, day: 1 })
    expect(said(planOf(bySign, [], [...two, hit, next], addDays(start, 15)))).toEqual([
      'p1: trained',
      'p2: trained',
      'q1: trained',
      'q2: 92.5',
      'q3: 95',
    ])
  })
})

describe('a session', () => {
  test('of a week that is over stands in the past, and takes no place of the running week', () => {
    const logs = trainOn(six, [], [0, 3, 7])
    const place: PlaceName = { phase: 'p', week: 1, day: 2 }
    const [first, skipped, third] = logs as [SessionLog, SessionLog, SessionLog]
    const late = { ...skipped, date: addDays(start, 8) }
    expect(placeNamed(late)).toEqual(place)
    const plan = planOf(six, [], [first, third, late], addDays(start, 9))
    expect(said(plan).slice(0, 3)).toEqual(['p1: trained trained', 'p2: trained 72.5', 'p3: 75 75'])
  })
  test('of a week that is over, which that week does not have any more, takes no place that its old number names', () => {
    const [first, second, third] = trainOn(six, [], [0, 3, 7]) as [SessionLog, SessionLog, SessionLog]
    const { shown } = second
    const lost = shown && { ...shown, at: { ...shown.at, inWeek: 3 } }
    const late = { ...second, id: 'late', date: addDays(start, 8), position: 4, shown: lost }
    const plan = planOf(six, [], [first, second, third, late], addDays(start, 9))
    expect(said(plan).slice(0, 2)).toEqual(['p1: trained trained', 'p2: trained 72.5'])
  })
  test('of a day that its week does not have any more comes last in it', () => {
    const three = read({ weeks: 6 }, 3)
    const logs = trainOn(three, [], [0, 2, 4])
    const plan = planOf(six, [], logs, addDays(start, 5))
    expect(said(plan).slice(0, 2)).toEqual(['p1: trained trained trained', 'p2: 72.5 72.5'])
  })
  test('that names a place without a snapshot stands there', () => {
    const logs = trainOn(six, [], [0, 3]).map(({ shown: _, ...log }) => log)
    expect(said(planOf(six, [], logs, addDays(start, 4)))[0]).toBe('p1: trained trained')
  })
  test('that names no place of the plan is a stray, and says which', () => {
    const [log] = trainOn(six, [], [0]) as [SessionLog]
    const { shown: _, ...lost } = { ...log, at: { phase: 'gone', week: 1, day: 1 } }
    expect(planned(six, [], [lost], addDays(start, 1)).setAside.strays).toEqual([
      { log: log.id, enrolment: 'e', position: 1, at: { phase: 'gone', week: 1, day: 1 }, isEnrolled: true },
    ])
  })
})

/** A phone trains on rising days and hears of deloads late, or never; then server and phone know all. */
const story = fc.record({
  gaps: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 12 }),
  deloads: fc.array(
    fc.record({
      day: fc.nat(30),
      weeks: fc.integer({ min: 1, max: 2 }),
      late: fc.nat(20),
      ended: fc.option(fc.nat(20), { nil: undefined }),
    }),
    { maxLength: 2 },
  ),
  keys: fc.array(fc.nat(), { minLength: 20, maxLength: 20 }),
})

test('whatever a phone did not know, each session stands at its place, no place stands twice, and any order of arrival is one plan', () => {
  fc.assert(
    fc.property(story, ({ gaps, deloads, keys }) => {
      const facts = deloads.map(({ day, weeks }, i) => deloadOn(day, `d${i}`, weeks))
      const ends = deloads.flatMap(({ day, ended }, i) =>
        ended === undefined ? [] : [fact(day + ended, { kind: 'endDeload', deload: `d${i}` }, `x${i}`)],
      )
      const heardOn = new Map<string, number>([
        ...deloads.map(({ day, late }, i) => [`d${i}`, day + late] as const),
        ...deloads.map(({ day, ended = 0, late }, i) => [`x${i}`, day + ended + late] as const),
      ])
      const all = [...facts, ...ends]
      const logs: SessionLog[] = []
      let day = 0
      for (const gap of gaps) {
        const known = all.filter(({ id }) => (heardOn.get(id) ?? 0) <= day)
        if (planOf(six, known, logs, addDays(start, day)).next === null) break
        logs.push(train(six, known, logs, addDays(start, day)))
        day += gap
      }
      const today = addDays(start, day)
      const plan = planOf(six, all, logs, today)
      const names: string[] = []
      for (const { phase, phaseWeek, inserted, places } of plan.weeks)
        for (const { inWeek, log } of places) {
          const spot = { phase, week: phaseWeek, day: inWeek, ...(inserted && { deload: inserted }) }
          const name = sessionLogId('e', spot, 1)
          names.push(name)
          if (log) expect(log).toBe(name)
        }
      expect(new Set(names).size).toBe(names.length)
      const shown = plan.weeks.flatMap(({ places }) => places.flatMap(({ log }) => (log ? [log] : [])))
      expect(shown.sort()).toEqual(logs.map(({ id }) => id).sort())
      const shuffled = logs
        .map((log, i) => [keys[i] ?? 0, log] as const)
        .sort(([a], [b]) => a - b)
        .map(([, log]) => log)
      expect(planOf(six, [...all].reverse(), shuffled, today)).toEqual(plan)
    }),
    { numRuns: 60 },
  )
})
