import { describe, expect, test } from '@jest/globals'
import { learnSession, type Evidence } from './evidence.ts'
import { noEvidence } from './none.ts'
import type { Lift } from '../library/index.ts'
import { resolve, type SessionLog } from '../member/index.ts'
import { type Fact, learnFact } from '../facts/index.ts'
import { maxFor } from './maxFor.ts'
import { proposalsOf } from './proposals.ts'
import { timeline } from './timeline.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const kg = (value: number) => ({ value, unit: 'kg' as const })
const squat = { exercise: 'backSquat' as const }
const max = (id: string, date: string, value: number, change: Partial<Fact> = {}): Fact =>
  ({
    id,
    rev: 1,
    date,
    actsFrom: date,
    kind: 'max',
    ...squat,
    load: kg(value),
    reps: 1,
    how: 'tested',
    ...change,
  }) as Fact
const after = (...facts: Fact[]): Evidence =>
  facts.reduce((known, fact) => learnFact(library, known, fact), noEvidence)
const session = (date: string, reps: number[], load = 80): SessionLog => ({
  id: `e:${date}`,
  rev: 1,
  date,
  enrolment: 'e',
  position: 1,
  attempt: 1,
  ordinal: 1,
  closed: true,
  sets: reps.map((count, i) => ({
    id: `${date}:${i}`,
    rev: 1,
    slot: 's',
    n: i + 1,
    ...squat,
    state: 'done',
    load: kg(load),
    reps: count,
  })),
})

const inForce = (known: Evidence, lift: Lift) => maxFor(library, known, lift, { use: 'newest' }, '2026-04-01')

describe('the max in force', () => {
  test('is the newest one that was accepted, not the heaviest; a lower test waits to be accepted', () => {
    const lower = (change: Partial<Fact>) =>
      after(max('a', '2026-01-05', 100), max('b', '2026-02-05', 95, change))
    expect(inForce(lower({}), squat)?.load).toEqual(kg(100))
    expect(proposalsOf(lower({}))).toMatchObject([{ lift: 'backSquat', load: kg(95), how: 'lower test' }])
    expect(inForce(lower({ accepted: true } as Partial<Fact>), squat)?.load).toEqual(kg(95))
    expect(proposalsOf(lower({ accepted: true } as Partial<Fact>))).toEqual([])
  })
  test('may be the best max of recent weeks, and the newest where those hold none', () => {
    const known = after(
      max('a', '2026-01-05', 110),
      max('b', '2026-03-05', 95, { accepted: true } as Partial<Fact>),
    )
    const best = (weeks: number) => maxFor(library, known, squat, { use: 'best', weeks }, '2026-03-30')?.load
    expect([best(12), best(4), best(1)]).toEqual([kg(110), kg(95), kg(95)])
  })
  test('is said to be old after the weeks that are trusted: 16, or as many as in the template', () => {
    const known = after(max('a', '2026-01-05', 100))
    const old = (day: string, fresh?: number) =>
      maxFor(library, known, squat, { use: 'newest', ...(fresh && { fresh }) }, day)?.staleWeeks
    // 16 weeks after 5 January is 27 April; a week later it is 17 weeks old.
    expect([old('2026-04-27'), old('2026-05-03'), old('2026-05-04')]).toEqual([undefined, undefined, 17])
    expect([old('2026-02-02', 4), old('2026-02-09', 4)]).toEqual([undefined, 5])
  })
  test('is not changed by one that is entered late and dated before it', () => {
    expect(inForce(after(max('a', '2026-02-05', 100), max('b', '2026-01-05', 120)), squat)?.load).toEqual(
      kg(100),
    )
  })
  test('of a set is its estimate by its own formula, and keeps the set', () => {
    const given = max('a', '2026-01-05', 100, { reps: 5, how: 'accepted estimate', formula: 'brzycki' })
    expect(inForce(after(given), squat)).toEqual({
      load: kg(112.5),
      date: '2026-01-05',
      how: 'accepted estimate',
      from: { load: kg(100), reps: 5, formula: 'brzycki' },
    })
  })
  test('belongs to a lift and its variant', () => {
    const paused = { ...squat, variant: 'paused' }
    const known = after(
      max('a', '2026-01-05', 100),
      max('b', '2026-01-06', 90, { variant: 'paused' } as Partial<Fact>),
    )
    expect([inForce(known, squat)?.load, inForce(known, paused)?.load]).toEqual([kg(100), kg(90)])
  })
})

describe('a session', () => {
  test('is last time for its lift, set by set', () => {
    const known = learnSession(
      library,
      learnSession(library, noEvidence, session('2026-03-02', [5, 5])),
      session('2026-03-04', [4, 3]),
    )
    expect(known.last.backSquat).toMatchObject({ date: '2026-03-04', sets: [{ reps: 4 }, { reps: 3 }] })
  })
  test('gives the best estimate of its sets and never changes the max in force', () => {
    const known = learnSession(library, after(max('a', '2026-01-05', 90)), session('2026-03-02', [3, 6, 2]))
    expect(known.estimates.backSquat).toEqual({
      load: kg(96),
      date: '2026-03-02',
      from: { load: kg(80), reps: 6 },
      atLeast: true,
    })
    expect(inForce(known, squat)?.load).toEqual(kg(90))
  })
  test('stopped as asked tells what the max is at least; with its RIR, or failed, what it is', () => {
    const log = session('2026-03-02', [5])
    const seen = (change: object) => {
      const sets = log.sets.map((set) => ({ ...set, ...change }) as (typeof log.sets)[number])
      return learnSession(library, noEvidence, { ...log, sets }).estimates.backSquat?.atLeast
    }
    expect([seen({}), seen({ rir: 0 }), seen({ rir: 2 }), seen({ state: 'failed' })]).toEqual([
      true,
      undefined,
      undefined,
      undefined,
    ])
  })
  test.each([
    ['helped', { assisted: 1 }],
    ['banded', { bands: 'two red' }],
    ['partial', { partial: true }],
    ['painful', { pain: true }],
    ['with too much in reserve', { rir: 5 }],
  ])('%s says nothing about a max', (_, change) => {
    const log = session('2026-03-02', [5])
    const sets = log.sets.map((set) => ({ ...set, ...change }) as (typeof log.sets)[number])
    expect(learnSession(library, noEvidence, { ...log, sets }).estimates).toEqual({})
  })
  test('of a deload, of no reps or of very many gives no estimate', () => {
    const light: SessionLog = {
      ...session('2026-03-02', [5]),
      shown: {
        format: 2,
        engine: 'x',
        version: 'v',
        at: { phase: 'p', week: 1, phaseWeek: 1, inWeek: 1, session: 'd' },
        slots: { s: { ...squat, deload: true, sets: [] } },
      },
    }
    expect(learnSession(library, noEvidence, light).estimates).toEqual({})
    expect(learnSession(library, noEvidence, session('2026-03-02', [0])).last).toEqual({})
    expect(learnSession(library, noEvidence, session('2026-03-02', [15])).estimates).toEqual({})
  })
})

describe('entries that speak of one another', () => {
  test('the highest revision counts, of equal ones the greater change id', () => {
    const [a, b, c] = [
      max('a', '2026-01-05', 100),
      max('a', '2026-01-05', 101, { rev: 2, change: 'm' }),
      max('a', '2026-01-05', 102, { rev: 2, change: 'k' }),
    ]
    for (const order of [
      [a, b, c],
      [c, b, a],
      [b, a, c],
    ])
      expect(resolve(order as Fact[])).toEqual([b])
  })
  test('a correction stands in for what it replaces, and a void entry for nothing', () => {
    const wrong = max('a', '2026-01-05', 200)
    const right = max('b', '2026-01-05', 100, { replaces: 'a' })
    expect(resolve([right, wrong])).toEqual([right])
    expect(resolve([wrong, { ...max('c', '2026-01-06', 1), replaces: 'a', void: true }])).toEqual([])
  })
  test('stand on the timeline by day, facts before that day’s sessions, sessions by their ordinal', () => {
    const second = { ...session('2026-03-02', [5]), id: 'z', ordinal: 2 }
    const first = { ...session('2026-03-02', [5]), id: 'y', ordinal: 1 }
    const late = { ...max('a', '2026-02-01', 100), actsFrom: '2026-03-02' }
    const { happenings } = timeline({ facts: [late], logs: [second, first] }, '2026-03-05')
    expect(happenings.map((one) => ('fact' in one ? one.fact.id : one.log.id))).toEqual(['a', 'y', 'z'])
  })
  test('dated after today count for nothing yet, and are named', () => {
    const { happenings, ahead } = timeline(
      { facts: [max('a', '2026-03-09', 100)], logs: [session('2026-03-08', [5])] },
      '2026-03-05',
    )
    expect(happenings).toEqual([])
    expect(ahead).toEqual([
      { what: 'entry', id: 'a', date: '2026-03-09' },
      { what: 'session', id: 'e:2026-03-08', date: '2026-03-08' },
    ])
  })
})

describe('the body', () => {
  const pullUp = { exercise: 'pullUp' as const }
  const weighed = (id: string, date: string, value: number): Fact =>
    ({ id, rev: 1, date, actsFrom: date, kind: 'bodyWeight', load: kg(value) }) as Fact
  const ofPullUp = (change: Partial<Fact>): Fact =>
    max('m', '2026-01-10', 20, { ...pullUp, ...change } as Partial<Fact>)

  test('is a part of a body-weight lift’s max, on either side of nothing added', () => {
    const body = weighed('b', '2026-01-05', 80)
    const load = (change: Partial<Fact>) => inForce(after(body, ofPullUp(change)), pullUp)?.load
    expect(load({})).toEqual(kg(100))
    expect(load({ load: kg(0) } as Partial<Fact>)).toEqual(kg(80))
    // 80 − 30 = 50 × 6 by Epley: 50 × 1.2 = 60.
    expect(load({ load: kg(30), help: true, reps: 6, how: 'accepted estimate' } as Partial<Fact>)).toEqual(
      kg(60),
    )
  })
  test('is waited for by a max, whichever comes first', () => {
    const given = ofPullUp({})
    expect(inForce(after(given), pullUp)).toBeNull()
    const known = after(given, weighed('b', '2026-01-12', 80))
    expect([inForce(known, pullUp)?.load, known.waiting]).toEqual([kg(100), []])
  })
  test('that weighs less than the help gives no max, and the fact is named', () => {
    const known = after(
      weighed('b', '2026-01-05', 60),
      ofPullUp({ load: kg(70), help: true } as Partial<Fact>),
    )
    expect([inForce(known, pullUp), known.impossible]).toEqual([null, ['m']])
  })
  test('weighed earlier and entered late does not push out a later weight', () => {
    const known = after(weighed('b', '2026-02-05', 82), weighed('c', '2026-01-05', 78))
    expect(known.body).toEqual({ load: kg(82), date: '2026-02-05' })
  })
  test('is a part of what sets say: ten pull-ups with nothing added at 80 kg are 106.6667 by Epley', () => {
    const set = (reps: number) => session('2026-02-01', [reps]).sets[0]
    const { load: _, ...bare } = set(10) as NonNullable<ReturnType<typeof set>>
    const log = { ...session('2026-02-01', []), sets: [{ ...bare, ...pullUp }] }
    const known = learnSession(library, after(weighed('b', '2026-01-05', 80)), log)
    expect(known.estimates.pullUp?.load).toEqual(kg(106.6667))
    expect(learnSession(library, noEvidence, log).estimates.pullUp).toBeUndefined()
  })
})
