import { describe, expect, test } from '@jest/globals'
import { whatItChanges } from './whatItChanges.ts'

// The latest first: a second run of "base", a program beside it, and a first run.
const going = [
  { id: 'base-2', template: 'base' },
  { id: 'peak-1', template: 'peak' },
  { id: 'base-1', template: 'base' },
]

describe('a publication of "base"', () => {
  test.each([
    [
      'changes the latest run over, beside what else there is',
      {},
      { changes: 'base-2', ends: [], after: null, carries: null },
    ],
    [
      'ends other programs where it replaces them',
      { others: 'replace' },
      { changes: 'base-2', ends: ['peak-1'], after: null, carries: null },
    ],
    [
      'starts over in the place of every run',
      { again: true },
      { changes: null, ends: ['base-2', 'base-1'], after: null, carries: null },
    ],
    [
      'starts over in the place of everything',
      { again: true, others: 'replace' },
      { changes: null, ends: ['base-2', 'peak-1', 'base-1'], after: null, carries: null },
    ],
    [
      'changes the latest run over where new ones would follow',
      { others: 'follow' },
      { changes: 'base-2', ends: [], after: null, carries: null },
    ],
    [
      'starts over once the latest is over, and ends nothing',
      { again: true, others: 'follow' },
      { changes: null, ends: [], after: 'base-2', carries: null },
    ],
  ] as const)('%s', (_, asked, said) => {
    expect(whatItChanges({ template: 'base', ...asked }, going)).toEqual(said)
  })

  test('makes an enrolment for who is on no run of it', () => {
    expect(whatItChanges({ template: 'base' }, [])).toEqual({
      changes: null,
      ends: [],
      after: null,
      carries: null,
    })
    expect(whatItChanges({ template: 'base', others: 'replace' }, [{ id: 'p', template: 'peak' }])).toEqual({
      changes: null,
      ends: ['p'],
      after: null,
      carries: null,
    })
    expect(whatItChanges({ template: 'base', others: 'follow' }, [{ id: 'p', template: 'peak' }])).toEqual({
      changes: null,
      ends: [],
      after: 'p',
      carries: null,
    })
    expect(whatItChanges({ template: 'base', others: 'follow' }, []).after).toBeNull()
  })

  test('goes on with the loads of the latest program, for a new run alone', () => {
    const carriedBy = (asked: object) =>
      whatItChanges({ template: 'base', carry: true, ...asked }, going).carries
    expect(carriedBy({})).toBeNull()
    expect(carriedBy({ again: true })).toBe('base-2')
    expect(carriedBy({ template: 'other', others: 'follow' })).toBe('base-2')
    expect(whatItChanges({ template: 'base', carry: true }, []).carries).toBeNull()
  })
})
