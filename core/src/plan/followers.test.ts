import { describe, expect, test } from '@jest/globals'
import { inputOf, readFixture } from '../../fixtures/read.ts'
import { addDays, type Day } from '../units/index.ts'
import { plannedOn, planInPieces } from '../testing/pieces.ts'
import { planMember } from './planMember.ts'

const fixture = readFixture('programs-that-follow-each-other')
const whole = inputOf(fixture)
const firstDay = '2026-03-02'
const on = (today: Day) => plannedOn(whole, { today, through: 'near' })
const days = Array.from({ length: 21 }, (_, i) => addDays(firstDay, i))

describe('a program that follows another', () => {
  test('is none before the other is over, and begins on the day after, its follower once its own week has gone by', () => {
    const begun = (today: Day) => Object.entries(on(today).plans).map(([id, { start }]) => `${id} ${start}`)
    expect(begun('2026-03-05')).toEqual(['base 2026-03-02'])
    expect(on('2026-03-05').waiting.map(({ id }) => id)).toEqual(['peak', 'last'])
    expect(begun('2026-03-06')).toEqual(['base 2026-03-02', 'peak 2026-03-06'])
    expect(begun('2026-03-12')).toEqual(['base 2026-03-02', 'peak 2026-03-06'])
    expect(begun('2026-03-13')).toEqual(['base 2026-03-02', 'peak 2026-03-06', 'last 2026-03-13'])
  })

  test('begins when the other is ended by somebody, and no earlier than its own first day', () => {
    const ended = { id: 'end', rev: 1, date: '2026-03-04', actsFrom: '2026-03-04' }
    const facts = [...whole.member.facts, { ...ended, kind: 'endEnrolment' as const, enrolment: 'base' }]
    const startOf = (enrolments = whole.enrolments) =>
      planMember({
        ...whole,
        enrolments,
        member: { facts, logs: whole.member.logs.slice(0, 1) },
        when: { today: '2026-03-20', through: 'near' },
      }).plans.peak?.start
    expect(startOf()).toBe('2026-03-04')
    const later = whole.enrolments.map((one) =>
      one.id === 'peak'
        ? { ...one, segments: one.segments.map((segment) => ({ ...segment, from: '2026-03-16' })) }
        : one,
    )
    expect(startOf(later)).toBe('2026-03-16')
    const alone = whole.enrolments.filter(({ id }) => id !== 'base')
    expect(startOf(alone)).toBe('2026-03-03')
  })

  test('is the same when it is planned in pieces, from the checkpoint of any earlier day', () => {
    expect(planInPieces(whole, days)).toBeGreaterThan(50)
  })
})
