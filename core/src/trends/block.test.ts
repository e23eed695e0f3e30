import { describe, expect, test } from '@jest/globals'
import type { SessionLog } from '../member/index.ts'
import { planMember } from '../plan/index.ts'
import { readTemplate } from '../template/index.ts'
import { addDays, type Day } from '../units/index.ts'
import { blocksOf } from './block.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const start = '2026-03-02'
const phase = (id: string, name: string) => ({ id, name, weeks: 2, rotation: ['a'], perWeek: 1 })
const rows = [[{ sets: 1, goal: { reps: 5 }, load: { of: 'free' } }]]
const { template } = readTemplate({
  format: 2,
  name: 'Two blocks',
  phases: [phase('p', 'Base'), phase('q', 'Peak')],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: { squat: { exercise: 'backSquat', rows: { p: rows, q: rows } } },
})

const log = (position: number, day: number): SessionLog => ({
  id: `e:${position}:1`,
  rev: 1,
  date: addDays(start, day),
  enrolment: 'e',
  position,
  attempt: 1,
  ordinal: 1,
  closed: true,
  sets: [],
})

function blocks(trained: number[], today: Day, clock: 'own' | 'calendar' = 'own') {
  const enrolment = { id: 'e', clock, segments: [{ from: start, version: 'v' }] }
  const logs = trained.map((day, i) => log(i + 1, day))
  const { plans } = planMember({
    library,
    member: { facts: [], logs },
    enrolments: [enrolment],
    versions: template ? { v: template } : {},
    when: {
      today,
      through: 'end',
    },
  })
  return Object.values(plans).flatMap((plan) => blocksOf(plan, today).map(({ name, ends }) => [name, ends]))
}

describe('a block', () => {
  test('that nobody has begun takes a week for each of its weeks', () =>
    expect(blocks([], start)).toEqual([
      ['Base', addDays(start, 13)],
      ['Peak', addDays(start, 27)],
    ]))
  test('that is over ended with its last session, and the next one is counted from today', () =>
    expect(blocks([0, 7], addDays(start, 8))).toEqual([
      ['Base', addDays(start, 7)],
      ['Peak', addDays(start, 21)],
    ]))
  test('moves on with a member who stays away, and does not end before today', () =>
    expect(blocks([0], addDays(start, 30))).toEqual([
      ['Base', addDays(start, 36)],
      ['Peak', addDays(start, 50)],
    ]))
  test('on a calendar ends on its date, whatever was trained', () =>
    expect(blocks([0], addDays(start, 10), 'calendar')).toEqual([
      ['Base', addDays(start, 13)],
      ['Peak', addDays(start, 27)],
    ]))
})
