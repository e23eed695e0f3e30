import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { countsStill, enrolmentsIn, goingOn, type Publication } from './publications.ts'
import type { Enrolment } from './types.ts'

const first: Publication = { number: 1, enrolment: 'e', version: 'v1', from: '2026-03-02' }

describe('what publications leave in force', () => {
  test('a later number goes before an earlier one from its own day on, whichever begins first', () => {
    const second: Publication = { number: 2, enrolment: 'e', version: 'v2', from: '2026-03-20' }
    const third: Publication = { number: 3, enrolment: 'e', version: 'v3', from: '2026-03-10' }
    expect(enrolmentsIn([second, third, first])).toEqual([
      {
        id: 'e',
        segments: [
          { from: '2026-03-02', version: 'v1' },
          { from: '2026-03-10', version: 'v3' },
        ],
      },
    ])
  })

  test('version and track are said apart, and null takes a track away', () => {
    const [own] = enrolmentsIn([
      { ...first, track: 'light', begins: 'session' },
      { number: 2, enrolment: 'e', version: 'v2', from: '2026-03-09' },
      { number: 3, enrolment: 'e', track: null, from: '2026-03-16' },
    ])
    expect(own?.segments).toEqual([
      { from: '2026-03-02', version: 'v1', track: 'light', begins: 'session' },
      { from: '2026-03-09', version: 'v2', track: 'light' },
      { from: '2026-03-16', version: 'v2' },
    ])
  })

  test('an enrolment that another ends is over from that day, and is none if it had not begun by then', () => {
    const next = (from: string): Publication => ({
      number: 2,
      enrolment: 'f',
      version: 'w',
      from,
      clock: 'calendar',
      ends: ['e'],
    })
    expect(enrolmentsIn([first, next('2026-03-16')])).toEqual([
      { id: 'e', segments: [{ from: '2026-03-02', version: 'v1' }], to: '2026-03-16' },
      { id: 'f', clock: 'calendar', segments: [{ from: '2026-03-16', version: 'w' }] },
    ])
    expect(enrolmentsIn([first, next('2026-03-02')]).map(({ id }) => id)).toEqual(['f'])
  })

  test('a track alone is no program', () => {
    expect(enrolmentsIn([{ number: 1, enrolment: 'e', track: 'light', from: '2026-03-02' }])).toEqual([])
  })
})

describe('what goes on after a day', () => {
  const three: Enrolment[] = [
    { id: 'old', segments: [{ from: '2026-03-02', version: 'v' }] },
    { id: 'ending', segments: [{ from: '2026-03-09', version: 'v' }], to: '2026-03-20' },
    { id: 'ahead', segments: [{ from: '2026-03-30', version: 'v' }] },
  ]
  test.each<[string, Record<string, string>, string, string[]]>([
    ['is what began last first', {}, '2026-03-10', ['ahead', 'ending', 'old']],
    ['is not what a publication ends on that day', {}, '2026-03-20', ['ahead', 'old']],
    ['is not what somebody has ended by then', { old: '2026-03-10' }, '2026-03-10', ['ahead', 'ending']],
    ['is what is ended later', { old: '2026-03-11' }, '2026-03-10', ['ahead', 'ending', 'old']],
  ])('%s', (_, ended, on, ids) => {
    expect(goingOn(three, { ended }, on).map(({ id }) => id)).toEqual(ids)
  })
})

describe('a publication that was taken back', () => {
  const back: Publication = { ...first, withdrawn: '2026-03-05' }
  test.each<[string, Parameters<typeof countsStill>[1], boolean]>([
    ['counts no more for who has not started', [], false],
    [
      'counts on for a start under it on the day itself',
      [{ enrolment: 'e', version: 'v1', date: '2026-03-05' }],
      true,
    ],
    [
      'counts no more for a start on the day after',
      [{ enrolment: 'e', version: 'v1', date: '2026-03-06' }],
      false,
    ],
    [
      'counts no more for a start before its day',
      [{ enrolment: 'e', version: 'v1', date: '2026-03-01' }],
      false,
    ],
    [
      'counts no more for a start under another version',
      [{ enrolment: 'e', version: 'v0', date: '2026-03-03' }],
      false,
    ],
    [
      'counts no more for a start of another program',
      [{ enrolment: 'f', version: 'v1', date: '2026-03-03' }],
      false,
    ],
    [
      'counts on for a session on paper in its days',
      [{ enrolment: 'e', version: undefined, date: '2026-03-03' }],
      true,
    ],
  ])('%s', (_, starts, counts) => {
    expect(countsStill(back, starts)).toBe(counts)
  })
})

describe('of any publications', () => {
  const day = fc.integer({ min: 1, max: 28 }).map((n) => `2026-03-${String(n).padStart(2, '0')}`)
  const some = fc
    .array(
      fc.record(
        {
          enrolment: fc.constantFrom('e', 'f'),
          from: day,
          version: fc.constantFrom('v1', 'v2', 'v3'),
          track: fc.constantFrom('light', null),
          begins: fc.constantFrom('week' as const, 'session' as const),
          ends: fc.constantFrom<string[]>(['e'], ['f']),
        },
        { requiredKeys: ['enrolment', 'from'] },
      ),
      { maxLength: 8 },
    )
    .map((list) => list.map((one, i): Publication => ({ ...one, number: i + 1 })))

  test('the order in which they are read changes nothing', () => {
    fc.assert(
      fc.property(some, fc.infiniteStream(fc.nat()), (list, dice) => {
        const keyed = list.map((one) => ({ one, at: dice.next().value ?? 0 }))
        const shuffled = keyed.sort((a, b) => a.at - b.at).map(({ one }) => one)
        expect(enrolmentsIn(shuffled)).toEqual(enrolmentsIn(list))
      }),
    )
  })

  test('segments lie in order, the first names a version, and each changes something', () => {
    fc.assert(
      fc.property(some, (list) => {
        for (const { segments, to } of enrolmentsIn(list)) {
          segments.forEach(({ from, version }, i) => {
            expect(version).not.toBe('')
            expect(from > (segments[i - 1]?.from ?? '')).toBe(true)
          })
          if (to !== undefined) expect(to > (segments[0]?.from ?? to)).toBe(true)
        }
      }),
    )
  })

  test('on each day the version is the one of the highest number that has begun and says one', () => {
    fc.assert(
      fc.property(some, day, (list, on) => {
        for (const { id, segments } of enrolmentsIn(list)) {
          const begun = list.filter((one) => one.enrolment === id && one.from <= on)
          const says = begun.findLast(({ version }) => version !== undefined)
          const segment = segments.findLast(({ from }) => from <= on)
          expect(segment?.version).toBe(says?.version)
          if (segment)
            expect(segment.track ?? null).toBe(
              begun.findLast(({ track }) => track !== undefined)?.track ?? null,
            )
        }
      }),
    )
  })
})
