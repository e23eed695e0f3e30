import { describe, expect, test } from '@jest/globals'
import type { MemberLine } from '@young-oak/api/members'
import { fitting, type Filter } from './audience.ts'

const member = (name: string, programs: string[], lastSession: string | null, isMine = true): MemberLine => ({
  id: name,
  name,
  programs,
  lastSession,
  sessionsIn4Weeks: 0,
  isMine,
  groups: [],
  writers: [],
})
const day = '2026-03-30'
const members = [
  member('Ada', ['Base'], '2026-03-29'),
  member('Ben', ['Base', 'Peak'], '2026-03-16'),
  member('Cy', ['Peak'], '2026-03-15'),
  member('Di', [], null),
  member('Eve', ['Base'], '2026-03-29', false),
]
const names = (filter: Filter, typed = '') =>
  fitting(members, { filter, typed }, 'Base', day).own.map(({ name }) => name)

describe('an audience', () => {
  test.each<[Filter, string[]]>([
    ['all', ['Ada', 'Ben', 'Cy', 'Di']],
    ['running', ['Ada', 'Ben']],
    ['elsewhere', ['Ben', 'Cy']],
    ['free', ['Di']],
    // 14 days before the 30th is the 16th.
    ['away', ['Cy', 'Di']],
  ])('"%s" finds the asker’s own members who fit', (filter, found) => {
    expect(names(filter)).toEqual(found)
  })

  test('of a group is whoever is in it, as far as the name goes', () => {
    const group = { own: new Set(['Ben', 'Di']), others: 3 }
    expect(fitting(members, { filter: group, typed: 'd' }, 'Base', day)).toEqual({
      own: [members[3]],
      others: 3,
    })
  })

  test('is narrowed by what a name holds, and counts others without naming them', () => {
    expect(names('all', ' B ')).toEqual(['Ben'])
    expect(fitting(members, { filter: 'running', typed: '' }, 'Base', day).others).toBe(1)
  })
})
