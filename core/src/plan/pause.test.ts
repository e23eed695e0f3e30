import { describe, expect, test } from '@jest/globals'
import { inputOf, readFixture } from '../../fixtures/read.ts'
import { readGivenFact } from '../facts/index.ts'
import { planInPieces, plannedOn } from '../testing/pieces.ts'
import { addDays } from '../units/index.ts'
import type { PlanInput } from './types.ts'

const whole = inputOf(readFixture('an-injury-that-is-trained-around'))
const pausedWith = (change: object): PlanInput => ({
  ...whole,
  member: {
    ...whole.member,
    facts: whole.member.facts.map((fact) => (fact.kind === 'pause' ? { ...fact, ...change } : fact)),
  },
})
/** The slots of the next session, with the load of each. */
const nextSlots = (given: PlanInput, today: string) => {
  const [plan] = Object.values(plannedOn(given, { today, through: 'near' }).plans)
  const places = plan?.weeks.flatMap((week) => week.places) ?? []
  const next = places.find(({ position }) => position === plan?.next)
  return next?.slots.map(({ slot, sets }) => `${slot} ${sets[0]?.sets} @ ${sets[0]?.load?.value}`)
}

describe('a pause that is trained through', () => {
  test('changes the sessions of its days, of its program and muscles, and no others', () => {
    expect(nextSlots(whole, '2026-03-09')).toEqual(['bench 3 @ 72.5'])
    expect(nextSlots(pausedWith({ enrolment: 'other' }), '2026-03-09')).toHaveLength(2)
    const fewer = pausedWith({ changes: [{ kind: 'scaleSets', by: -50, round: 'down' }], muscles: undefined })
    expect(nextSlots(fewer, '2026-03-09')).toEqual(['squat 1 @ 72.5', 'bench 1 @ 72.5'])
  })

  test('has a way back in the week after it, which an open end has not', () => {
    expect(nextSlots(whole, '2026-03-16')).toEqual(['squat 3 @ 65', 'bench 3 @ 67.5'])
    expect(nextSlots(pausedWith({ to: undefined }), '2026-03-16')).toEqual(['bench 3 @ 75'])
    expect(nextSlots(pausedWith({ back: undefined }), '2026-03-16')).toEqual([
      'squat 3 @ 72.5',
      'bench 3 @ 75',
    ])
  })

  test('is the same when it is planned in pieces, from the checkpoint of any earlier day', () => {
    const days = Array.from({ length: 21 }, (_, i) => addDays('2026-03-02', i))
    expect(planInPieces(whole, days)).toBeGreaterThan(50)
  })

  test.each([
    ['raises something', { kind: 'scaleLoad', by: 10 }],
    ['changes what a week holds', { kind: 'fewerDays', days: 2 }],
    ['is none', { kind: 'rest' }],
  ])('is refused at its place where a change %s', (_, change) => {
    const { issues } = readGivenFact(
      {},
      { kind: 'pause', date: '2026-03-09', reason: 'injury', changes: [change] },
    )
    expect(issues?.[0]?.path).toMatch(/^changes\[0\]/)
  })
})
