import { describe, expect, test } from '@jest/globals'
import type { Publication } from '@young-oak/api/forms/publication'
import type { MemberLine } from '@young-oak/api/members'
import type { Impact } from '@young-oak/core/impact'
import type { Template } from '@young-oak/core/template'
import { impactKinds } from '@young-oak/api/publications'
import { sayKind, sayMember } from './sayImpact.ts'
import { sayPublication } from './sayPublication.ts'

const draft = { name: 'Base', tracks: {} } as Template
const tracked = { name: 'Base', tracks: { light: { name: 'Lighter', changes: [] } } } as unknown as Template
const on = (programs: string[]) => ({ programs }) as MemberLine
const given: Publication = {
  members: ['a'],
  start: '2026-12-07',
  onUsualDay: false,
  ownStarts: [],
  ownTracks: [],
  note: '',
  begins: 'week',
  clock: 'own',
  track: 'keep',
  choosesTrack: false,
  opens: 'all',
  others: 'beside',
  carry: false,
}
const say = (change: Partial<Publication>, chosen: MemberLine[], template = draft, rules = 0) =>
  sayPublication({ ...given, ...change }, { draft: template, version: 3, chosen, rules })

describe('the sentence of a publication', () => {
  test('says version, members, day, who changes over and who starts', () => {
    expect(say({}, [on(['Base']), on(['Base']), on([])])).toBe(
      'Version 3 of Base to 3 members, from 7 Dec 2026. 2 already on the program change with their next week. 1 starts the program; a week ends when its sessions are done.',
    )
  })

  test('says whose first day is another, and whose loads go on', () => {
    const own = [
      { member: 'a', start: '2026-12-09' },
      { member: 'left out', start: '2026-12-09' },
    ]
    expect(say({ onUsualDay: true, ownStarts: own, carry: true }, [on([])])).toBe(
      'Version 3 of Base to 1 member, from 7 Dec 2026. Each starts on the first of their usual days. 1 member has a first day of their own. 1 starts the program; a week ends when its sessions are done. Those who start go on with the last loads of their program before.',
    )
  })

  test('says who gets a track by rule, may choose one, and which weeks are seen', () => {
    expect(say({ choosesTrack: true, opens: '0' }, [on([])], tracked, 2)).toBe(
      'Version 3 of Base to 1 member, from 7 Dec 2026. 1 starts the program; a week ends when its sessions are done. Tracks by rule; all others keep their track. Members may choose another track. They see the running week alone.',
    )
    expect(say({ track: '', opens: '1' }, [on([])], tracked, 1)).toMatch(
      /Tracks by rule; all others on the template as written[.] They see the running week and the next[.]$/,
    )
  })

  test('says who was put on a track by hand', () => {
    const ownTracks = [
      { track: 'light', members: ['a', 'left out'] },
      { track: '', members: ['left out'] },
    ]
    expect(say({ ownTracks, members: ['a'] }, [on([])], tracked)).toMatch(
      /All others keep their track[.] By hand, 1 member on the track Lighter[.]$/,
    )
  })

  test('says who starts over, on which track, and what becomes of other programs', () => {
    expect(say({ begins: 'again', track: 'light', others: 'replace' }, [on(['Base', 'Peak'])], tracked)).toBe(
      'Version 3 of Base to 1 member, from 7 Dec 2026. 1 already on the program starts over with week 1. All on the track Lighter. Other programs of 1 of these members end on that day.',
    )
    expect(say({ clock: 'calendar' }, [on(['Peak'])], tracked)).toBe(
      'Version 3 of Base to 1 member, from 7 Dec 2026. 1 starts the program; weeks end on their dates. Each member keeps their track. 1 of these members keeps another program beside this one.',
    )
  })

  test('says that a day is missing', () => {
    expect(say({ start: '' }, [])).toBe(
      'Version 3 of Base to 0 members, from a day that you have yet to choose.',
    )
  })
})

describe('what it does to a member', () => {
  const squat = { exercise: 'backSquat' } as const
  const impact: Impact = {
    is: 'moves',
    lines: [
      { week: 2, day: 1, session: 'A', lift: squat, before: '3 × 5 @ 80 kg', after: '3 × 5 @ 85 kg' },
      { week: 2, day: 2, session: 'A', lift: squat, before: '3 × 5 @ 80 kg', after: null },
    ],
    changed: 5,
    jump: { lift: squat, from: '3 × 5 @ 80 kg', to: '3 × 5 @ 85 kg', percent: 6 },
    needs: [squat, { exercise: 'benchPress' }],
    short: [squat],
    longer: { session: 'A', before: 50, after: 65 },
    isMidWeek: false,
    isDeload: false,
    isPaused: false,
    keepsTrack: false,
    beside: ['Peak'],
    follows: [],
    ends: ['Base'],
    findings: [{ where: 'Base', what: 'The track is gone.', next: 'Choose another.' }],
  }

  test.each([
    ['jump', 'Back squat: 3 × 5 @ 80 kg → 3 × 5 @ 85 kg, 6% more by e1RM'],
    ['needs', 'Back squat, Bench press'],
    ['short', 'Back squat'],
    ['longer', 'A: about 50 → 65 minutes'],
    ['beside', 'Peak'],
    ['ends', 'Base'],
    ['findings', 'Base: The track is gone.'],
    ['moves', 'Week 2, day 1, Back squat: 3 × 5 @ 80 kg → 3 × 5 @ 85 kg, and 4 more'],
  ] as const)('"%s" is said in a line', (kind, said) => {
    expect(sayMember({}, kind, impact)).toBe(said)
  })

  test('a kind is said of one and of several, whichever it is', () => {
    for (const kind of impactKinds) expect(sayKind(kind, 1)).not.toBe('')
    expect([sayKind('starts', 1), sayKind('starts', 2)]).toEqual(['starts the program', 'start the program'])
  })
})
