import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { judgeTrial } from './trial.ts'
import { misfits, targetOf } from './target.ts'
import { totalsOf } from './total.ts'
import { trendOf } from './trend.ts'
import type { SessionLog } from '../member/index.ts'
import type { LiftGoal } from '../facts/index.ts'
import { addDays } from '../units/index.ts'
import { estimatesOf, type Seen } from './estimates.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-01-05'
const weekly = (values: [number, number][]): Seen[] =>
  values
    .map(([week, value]) => ({ date: addDays(start, 7 * week), value }))
    .sort((a, b) => (a.date < b.date ? -1 : 1))

describe('a trend', () => {
  // Anscombe, "Graphs in Statistical Analysis", The American Statistician 27 (1973): the line of his first set is 3.00 + 0.500 x,
  // the standard error of its slope 0.118. Quoted from memory.
  test('is the line of least squares, with its error', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5]
    const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68]
    const trend = trendOf(weekly(x.map((week, i) => [week, y[i] as number])))
    expect(trend?.perWeek).toBeCloseTo(0.5, 3)
    expect(trend?.error).toBeCloseTo(0.118, 3)
    expect(trend?.on(start).value).toBeCloseTo(3 + 4 * 0 + 0, 1)
  })
  test('of points on a line has no band, and of few or close ones is none', () => {
    const line = weekly([0, 1, 2, 3, 4].map((week) => [week, 100 + week]))
    expect(trendOf(line)?.on(addDays(start, 70))).toEqual({ value: 110, low: 110, high: 110 })
    expect(trendOf(line.slice(0, 3))).toBeNull()
    expect(trendOf(line.map((seen, i) => ({ ...seen, date: addDays(start, i) })))).toBeNull()
  })
  test('has a band that grows with the distance', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 80, max: 120 }), { minLength: 4, maxLength: 12 }), (values) => {
        const trend = trendOf(weekly(values.map((value, week) => [week, value])))
        const width = (week: number) => {
          const { low, high } = trend?.on(addDays(start, 7 * week)) ?? { low: 0, high: 0 }
          return high - low
        }
        expect(width(30)).toBeGreaterThanOrEqual(width(20))
        expect(width(20)).toBeGreaterThanOrEqual(0)
      }),
    )
  })
})

describe('a goal', () => {
  const goal: LiftGoal = {
    exercise: 'backSquat',
    from: { value: 100, unit: 'kg' },
    set: start,
    to: { value: 110, unit: 'kg' },
    by: addDays(start, 70),
  }
  const gaining = (perWeek: number, scatter: number[] = [0]) =>
    weekly(
      [0, 1, 2, 3, 4].map((week) => [
        week,
        100 + perWeek * week + (scatter[week % scatter.length] as number),
      ]),
    )
  const today = addDays(start, 28)

  test('says what it asks a week beside what was gained, and projects it', () => {
    // Ten kilos in ten weeks; one a week so far: 104 after four, 110 on the day.
    const target = targetOf(goal, gaining(1), today)
    expect(target).toMatchObject({ now: 104, gainPercent: 10, needsPerWeek: 1, verdict: 'on course' })
    expect(target.ownPerWeek?.value).toBe(1)
    expect(target.projected?.value).toBe(110)
  })
  test.each<[string, Seen[], ReturnType<typeof targetOf>['verdict']]>([
    ['half as much a week, without scatter', gaining(0.5), 'out of reach'],
    ['a little less, with scatter', gaining(0.7, [3, -3]), 'within reach'],
    ['once above it', gaining(3), 'reached'],
    ['three sessions', gaining(1).slice(0, 3), 'cannot tell'],
    ['above it on a day before it was set', [{ date: addDays(start, -7), value: 111 }], 'cannot tell'],
  ])('%s', (_, seen, verdict) => expect(targetOf(goal, seen, today).verdict).toBe(verdict))
  test('reads the last six weeks where they brought less, since gains slow down', () => {
    // Two kilos a week to week 5, then half a kilo: 113 by week 11, and 115 four weeks on.
    const slowing = weekly(
      Array.from(
        { length: 12 },
        (_, week) => [week, week < 6 ? 100 + 2 * week : 110 + 0.5 * (week - 5)] as [number, number],
      ),
    )
    const now = addDays(start, 77)
    const target = targetOf({ ...goal, to: { value: 125, unit: 'kg' }, by: addDays(now, 28) }, slowing, now)
    expect(target.ownPerWeek).toMatchObject({ value: 0.5, weeks: 6 })
    expect(target.projected?.value).toBeCloseTo(115, 1)
  })
  test('farther ahead than what was seen goes back is not projected', () => {
    const far = { ...goal, by: addDays(today, 7 * 20) }
    expect(targetOf(far, gaining(1), today)).toMatchObject({ projected: null, verdict: 'cannot tell' })
  })
  test('whose day is over is reached or missed, and what came after it does not count', () => {
    const over = { ...goal, to: { value: 103, unit: 'kg' as const }, by: addDays(start, 14) }
    expect(targetOf(over, gaining(1), today)).toMatchObject({ verdict: 'missed', projected: null })
    expect(targetOf({ ...over, by: addDays(start, 21) }, gaining(1), today).verdict).toBe('reached')
  })
  test('below what was estimated when it was set is no goal', () =>
    expect(targetOf({ ...goal, to: { value: 100, unit: 'kg' } }, gaining(1), today).verdict).toBe(
      'already there',
    ))
  test('for a block is due on the day that the block ends', () => {
    const block = { enrolment: 'e', phase: 'base' }
    const { by: _, ...open } = goal
    const blocks = [{ ...block, name: 'Base', ends: addDays(start, 70) }]
    expect(targetOf({ ...open, block }, gaining(1), today, blocks)).toMatchObject({
      block: { name: 'Base' },
      goal: { by: addDays(start, 70) },
      needsPerWeek: 1,
      verdict: 'on course',
    })
    expect(targetOf({ ...open, block }, gaining(1), today)).toMatchObject({
      needsPerWeek: null,
      verdict: 'cannot tell',
    })
  })
  test('that does not fit another by the template’s ratio is said so', () => {
    const front: LiftGoal = { ...goal, exercise: 'frontSquat', to: { value: 120, unit: 'kg' } }
    const ratio = {
      lift: { exercise: 'frontSquat' as const },
      of: { exercise: 'backSquat' as const },
      percent: 80,
    }
    expect(misfits(library, [goal, front], [ratio])[0]?.say).toContain(
      '80% to Back squat at 110 kg it would be 88 kg',
    )
    expect(misfits(library, [goal, { ...front, to: { value: 88, unit: 'kg' } }], [ratio])).toEqual([])
    const inBlock = { ...front, block: { enrolment: 'e', phase: 'base' } }
    expect(misfits(library, [goal, inBlock], [ratio])).toEqual([])
  })
})

describe('a trial', () => {
  const log = (day: number, value: number, reps = 5): SessionLog => ({
    id: `l${day}`,
    rev: 1,
    date: addDays(start, day),
    enrolment: 'e',
    position: day + 1,
    attempt: 1,
    ordinal: 1,
    closed: true,
    sets: [
      {
        id: `l${day}:s:1`,
        rev: 1,
        slot: 's',
        n: 1,
        exercise: 'backSquat',
        state: 'done',
        load: { value, unit: 'kg' },
        reps,
      },
    ],
    answers: { hard: 7 },
  })
  const ownDeloads = {
    first: { from: start, to: addDays(start, 34) },
    second: { from: addDays(start, 35), to: addDays(start, 69) },
    lifts: [{ exercise: 'backSquat' as const }],
  }
  const weeks = [0, 1, 2, 3, 4]
  const run = (slow: number, fast: number, scatter: number) => [
    ...weeks.map((week) => log(7 * week, 100 + slow * week + (week % 2 ? scatter : -scatter))),
    ...weeks.map((week) => log(35 + 7 * week, 110 + fast * week + (week % 2 ? scatter : -scatter))),
  ]

  test('tells them apart where every band does, and says by how much', () => {
    const result = judgeTrial(library, ownDeloads, run(0.5, 2.5, 0.1), 'kg')
    expect(result.better).toBe('second')
    // Five reps stand for 35 ÷ 30 of the load: two kilos a week more on the bar are 2.33 of the max.
    expect(result.differences[0]?.value).toBeCloseTo(2.33, 1)
    expect(result.first).toMatchObject({ sessions: 5, hardness: 7 })
    expect(result.say).toContain('The second period was better')
  })
  test('says that it cannot tell where the scatter hides it, or there is too little', () => {
    expect(judgeTrial(library, ownDeloads, run(0.5, 1, 5), 'kg').better).toBe('cannot tell')
    const few = judgeTrial(library, ownDeloads, run(0.5, 2.5, 0.1).slice(0, 6), 'kg')
    expect([few.better, few.say]).toEqual(['cannot tell', expect.stringContaining('too few sessions')])
  })
  test('reads days of training, the best of each, and none that were light', () => {
    const light = {
      ...log(1, 200),
      shown: { slots: { s: { deload: true } } } as unknown as SessionLog['shown'],
    }
    const seen = estimatesOf(
      library,
      [log(0, 100), light, { ...log(2, 60), sets: [] }],
      { exercise: 'backSquat' },
      'kg',
    )
    expect(seen).toEqual([{ date: start, value: 116.6667 }])
  })
})

describe('a goal for several lifts', () => {
  const squat = [
    { date: '2026-03-02', value: 120 },
    { date: '2026-03-16', value: 125 },
  ]
  const bench = [{ date: '2026-03-09', value: 85 }]
  const goal = { from: null, set: '2026-03-02', to: { value: 210, unit: 'kg' as const } }

  test('adds up what was last known of each, from the day on which all are', () => {
    const parts = [
      { seen: squat, known: [] },
      { seen: [], known: bench },
    ]
    expect(totalsOf(parts)).toEqual([
      { date: '2026-03-09', value: 205 },
      { date: '2026-03-16', value: 210 },
    ])
    expect(targetOf(goal, totalsOf(parts), '2026-03-20')).toMatchObject({ now: 210, verdict: 'reached' })
  })

  test('of which one is not known cannot be told', () => {
    const parts = [
      { seen: squat, known: [] },
      { seen: [], known: [] },
    ]
    expect(targetOf(goal, totalsOf(parts), '2026-03-20')).toMatchObject({ now: null, verdict: 'cannot tell' })
  })
})

test('a lift that has only a max stands where its max is', () => {
  const goal = {
    from: { value: 100, unit: 'kg' as const },
    set: '2026-03-02',
    to: { value: 105, unit: 'kg' as const },
  }
  const old = { date: '2026-02-20', load: { value: 100, unit: 'kg' as const } }
  const tested = { date: '2026-03-18', load: { value: 105, unit: 'kg' as const } }
  expect(targetOf(goal, [], '2026-03-20', [], [old])).toMatchObject({
    now: 100,
    gainPercent: 5,
    verdict: 'cannot tell',
  })
  expect(targetOf(goal, [], '2026-03-20', [], [old, tested])).toMatchObject({ now: 105, verdict: 'reached' })
})
