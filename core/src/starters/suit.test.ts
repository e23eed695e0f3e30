import { describe, expect, test } from '@jest/globals'
import { starterKinds } from './registry.ts'
import { suitsOf, type Wanted } from './suit.ts'

const nothing: Wanted = {
  about: {},
  days: { weekdays: [] },
  priorities: { muscles: [], lifts: [] },
}

describe('templates that suit a profile', () => {
  test('stand in their own order where the profile says nothing', () => {
    const suits = suitsOf(nothing)
    expect(suits.map(({ kind }) => kind)).toEqual(starterKinds)
    for (const { hasDays, hasTime, isLevel, priority, minutes } of suits) {
      expect([hasDays, hasTime, isLevel, priority]).toEqual([null, null, null, null])
      expect(minutes).toBeGreaterThan(10)
    }
  })

  test('those with as many sessions as days come first, of the right level before the others', () => {
    const [first, ...others] = suitsOf({
      ...nothing,
      about: { training: 'oneToThreeYears' },
      days: { weekdays: [1, 2, 4, 5] },
    })
    expect(first).toMatchObject({ perWeek: 4, hasDays: true, isLevel: true })
    const misses = others.map(({ hasDays, isLevel }) => Number(!hasDays) + Number(!isLevel))
    expect(misses).toEqual([...misses].sort())
  })

  test('for half an hour, what takes longer comes behind', () => {
    const suits = suitsOf({ ...nothing, days: { weekdays: [], minutes: 35 } })
    expect(suits[0]).toMatchObject({ kind: 'twoShortSessions', hasTime: true })
    expect(suits.at(-1)?.hasTime).toBe(false)
  })

  test('of equal ones the one that trains the priorities most comes first', () => {
    const suits = suitsOf({ ...nothing, priorities: { muscles: ['biceps', 'triceps'], lifts: [] } })
    const shares = suits.map(({ priority }) => priority ?? 0)
    expect(shares).toEqual([...shares].sort((a, b) => b - a))
    expect(shares[0]).toBeGreaterThan(shares.at(-1) ?? 100)
  })
})
