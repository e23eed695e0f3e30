// Sessions that several phones have started: the first start is the session's, and each slot is judged by what its sets were logged under.
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { placeNamed, sessionLogId } from './places.ts'
import { asCounted, withStart } from './starts.ts'
import type { SessionLog, SetLog, Shown, Start } from './types.ts'

const kg = (value: number) => ({ value, unit: 'kg' as const })
const shownAs = (load: number, version = 'v'): Shown => ({
  format: 2,
  engine: '0.10.0',
  version,
  at: { phase: 'p', week: 1, phaseWeek: 1, inWeek: 1, session: 'a', deload: null },
  slots: Object.fromEntries(
    ['squat', 'bench'].map((slot) => [
      slot,
      {
        exercise: 'backSquat',
        sets: [{ prescription: 'x', sets: 3, reps: 5, target: kg(load), load: kg(load), why: [] }],
      },
    ]),
  ),
})
const startOf = (change: string, minute: number, load: number, more: Partial<Start> = {}): Start => ({
  change,
  date: '2026-03-02',
  minute,
  shown: shownAs(load),
  ...more,
})
const logOf = ({ change, date, minute, location, shown }: Start, sets: SetLog[] = []): SessionLog => ({
  id: 's',
  rev: 1,
  change,
  date,
  minute,
  ...(location !== undefined && { location }),
  ...(shown && { shown }),
  enrolment: 'e',
  position: 1,
  attempt: 1,
  ordinal: 1,
  closed: false,
  sets,
})
const setOf = (slot: string, n: number, start?: string): SetLog => ({
  id: `${slot}${n}`,
  rev: 1,
  slot,
  n,
  exercise: 'backSquat',
  state: 'done',
  ...(start !== undefined && { start }),
})
const loads = ({ shown }: SessionLog) =>
  ['squat', 'bench'].map((slot) => shown?.slots[slot]?.sets[0]?.load?.value)

describe('a session that was started more than once', () => {
  const a = startOf('a', 600, 70)
  const b = startOf('b', 590, 75, { location: 'shed' })

  test('is that of the first start, with its minute, its location and what it showed', () => {
    const log = withStart(logOf(a), b)
    expect(log).toMatchObject({ change: 'b', minute: 590, location: 'shed' })
    expect(loads(asCounted(log))).toEqual([75, 75])
    expect(withStart(logOf(b), a)).toMatchObject({ change: 'b', location: 'shed' })
  })
  test('has each slot as the start showed it that its sets name', () => {
    const sets = [setOf('squat', 1, 'a'), setOf('bench', 1, 'b')]
    expect(loads(asCounted({ ...withStart(logOf(a), b), sets }))).toEqual([70, 75])
  })
  test('goes by the first set of a slot where they name several, and by its own start where they name none', () => {
    const sets = [setOf('squat', 2, 'b'), setOf('squat', 1, 'a'), setOf('bench', 1)]
    expect(loads(asCounted({ ...withStart(logOf(a), b), sets }))).toEqual([70, 75])
  })
  test('may have been shown under two versions', () => {
    const other = { ...a, shown: shownAs(70, 'w') }
    const counted = asCounted({ ...withStart(logOf(other), b), sets: [setOf('squat', 1, 'a')] })
    expect([counted.shown?.version, ...loads(counted)]).toEqual(['v', 70, 75])
  })
  test('changes nothing where one start comes again', () => {
    const log = withStart(logOf(a), b)
    expect(withStart(log, b)).toBe(log)
    const own = logOf(a)
    expect(withStart(own, a)).toBe(own)
  })
  test('keeps its own snapshot where the other start has none', () => {
    const bare = { change: 'c', date: '2026-03-02', minute: 700 }
    expect(loads(asCounted({ ...withStart(logOf(a), bare), sets: [setOf('squat', 1, 'c')] }))).toEqual([
      70, 70,
    ])
  })
})

test('is one session in whatever order its starts arrive', () => {
  const starts = fc.uniqueArray(
    fc.record({
      change: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
      date: fc.constantFrom('2026-03-02', '2026-03-03'),
      minute: fc.integer({ min: 0, max: 3 }),
      load: fc.integer({ min: 1, max: 100 }),
    }),
    { selector: ({ change }) => change, minLength: 1, maxLength: 5 },
  )
  fc.assert(
    fc.property(starts, fc.array(fc.nat(), { minLength: 5, maxLength: 5 }), (all, keys) => {
      const made = all.map(({ change, date, minute, load }) => startOf(change, minute, load, { date }))
      const joined = (order: Start[]) => {
        const [first, ...others] = order as [Start, ...Start[]]
        const { starts: kept = [], ...log } = asCounted(others.reduce(withStart, logOf(first)))
        return { log, kept: kept.map(({ change }) => change).sort() }
      }
      const shuffled = made
        .map((one, i) => [keys[i] ?? 0, one] as const)
        .sort(([x], [y]) => x - y)
        .map(([, one]) => one)
      expect(joined(shuffled)).toEqual(joined(made))
      const first = [...made].sort((x, y) =>
        x.date !== y.date
          ? x.date < y.date
            ? -1
            : 1
          : x.minute - y.minute || (x.change < y.change ? -1 : 1),
      )[0]
      expect(joined(made).log.change).toBe(first?.change)
    }),
  )
})

describe('the id of a session', () => {
  test('is made of its place, and in a deload that was put in also of which, and which of its weeks', () => {
    const place = { phase: 'base', week: 2, day: 3 }
    expect(sessionLogId('e', place, 1)).toBe('e:base.2.3:1')
    expect(sessionLogId('e', { ...place, deload: { fact: 'f', week: 1 } }, 2)).toBe('e:base.2.3.f.1:2')
    expect(sessionLogId('e', 7, 1)).toBe('e:7:1')
  })
  test('comes from what was shown before what the log says, and from neither where a snapshot is older than names', () => {
    const at = { phase: 'q', week: 9, day: 9 }
    const shown = shownAs(70)
    expect(placeNamed({ shown, at })).toEqual({ phase: 'p', week: 1, day: 1 })
    const { deload: _, ...old } = shown.at
    expect([placeNamed({ shown: { ...shown, at: old } }), placeNamed({ at })]).toEqual([null, at])
  })
})
