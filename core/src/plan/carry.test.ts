import { describe, expect, test } from '@jest/globals'
import { inputOf, readFixture } from '../../fixtures/read.ts'
import { planInPieces, plannedOn } from '../testing/pieces.ts'
import { addDays } from '../units/index.ts'
import type { PlanInput } from './types.ts'

const whole = inputOf(readFixture('loads-carried-into-the-next-program'))

/** First loads of the next program, by slot, before anything is trained under it. */
const firstLoads = (given: PlanInput, today: string) => {
  const { plans } = plannedOn(given, { today, through: 'near' })
  const place = plans.next?.weeks[0]?.places.find(({ status }) => status === 'next')
  return Object.fromEntries(place?.slots.map(({ slot, sets }) => [slot, sets[0]?.load?.value]) ?? [])
}
const nextFrom = (change: object): PlanInput => ({
  ...whole,
  enrolments: whole.enrolments.map((one) => (one.id === 'next' ? { ...one, ...change } : one)),
})

describe('loads that are carried from another program', () => {
  test('are those of its first day, and before that those of today', () => {
    expect(firstLoads(whole, '2026-03-03')).toEqual({ squat: 60, bench: 62.5, press: 30 })
    expect(firstLoads(whole, '2026-03-06')).toEqual({ squat: 62.5, bench: 65, press: 30 })
    expect(firstLoads(whole, '2026-03-10')).toEqual({ squat: 62.5, bench: 65, press: 30 })
  })

  test('are none where the other program is gone, has trained nothing, or nothing is carried', () => {
    const own = { squat: 50, bench: 50, press: 30 }
    expect(firstLoads(nextFrom({ carries: 'gone' }), '2026-03-10')).toEqual(own)
    expect(firstLoads(nextFrom({ carries: undefined }), '2026-03-10')).toEqual(own)
    const untrained = { ...whole, member: { ...whole.member, logs: [] } }
    expect(firstLoads(untrained, '2026-03-10')).toEqual(own)
  })

  test('are the same when they are planned in pieces, from the checkpoint of any earlier day', () => {
    const days = Array.from({ length: 16 }, (_, i) => addDays('2026-03-02', i))
    expect(planInPieces(whole, days)).toBeGreaterThan(20)
  })
})
