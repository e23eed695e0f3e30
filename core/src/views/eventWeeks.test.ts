import { describe, expect, test } from '@jest/globals'
import { planFixture, readFixture } from '../../fixtures/read.ts'
import { addDays } from '../units/index.ts'
import { daysOfWeeks, eventsOfWeeks, type MemberEvent } from './eventWeeks.ts'
import { planMember, type Plan } from '../plan/index.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

const planned = (name: string) => {
  const fixture = readFixture(name)
  return { ...fixture, plan: Object.values(planFixture(fixture).plans)[0] as Plan }
}
const trip = (on: string, to?: string): MemberEvent => ({ id: on, what: 'trip', on, ...(to && { to }) })

describe('the days of a plan’s weeks', () => {
  test('are those of the calendar where it has one', () => {
    const { plan, today } = planned('a-deload-on-a-calendar')
    const days = daysOfWeeks(plan, today)
    days.forEach(({ from, to }, i) => {
      expect([from, to]).toEqual([plan.weeks[i]?.from, addDays(from, 6)])
    })
  })

  test('on the own clock follow what was trained, and from here on go by sevens', () => {
    const { plan, today } = planned('two-variants-of-one-lift')
    expect(today).toBe('2026-03-03')
    expect(daysOfWeeks(plan, today)).toEqual([
      { week: 1, from: '2026-03-02', to: '2026-03-08' },
      { week: 2, from: '2026-03-09', to: '2026-03-15' },
    ])
  })

  test('never begin before today where nothing was trained, and never overlap', () => {
    for (const name of [
      'two-weeks-away-on-the-own-clock',
      'missed-weeks-repeat',
      'three-sessions-on-five-days',
    ]) {
      const { plan, today } = planned(name)
      const days = daysOfWeeks(plan, today)
      days.slice(1).forEach(({ from }, i) => expect([name, from > (days[i]?.to ?? '')]).toEqual([name, true]))
      days.forEach(({ week, from }) => {
        const places = plan.weeks.find((one) => one.week === week)?.places ?? []
        if (places.every(({ status }) => status === 'ahead')) expect(from >= today).toBe(true)
      })
    }
  })
})

test('an event is of every week that a day of it falls into, and of none beyond the plan', () => {
  const { plan, today } = planned('two-variants-of-one-lift')
  const events = [
    trip('2026-03-08', '2026-03-10'),
    trip('2026-03-15'),
    trip('2026-03-16'),
    trip('2026-03-01'),
  ]
  expect(Object.fromEntries(eventsOfWeeks(plan, { events }, today))).toEqual({
    1: [events[0]],
    2: [events[0], events[1]],
  })
})

test('events come from a member’s facts', () => {
  const { file, versions, today } = readFixture('two-variants-of-one-lift')
  const entry = {
    id: 'e',
    rev: 1,
    date: today,
    actsFrom: today,
    kind: 'event',
    what: 'exams',
    on: '2026-03-10',
  } as const
  const member = { ...file.member, facts: [...file.member.facts, entry] }
  const { plans, evidence } = planMember({
    library,
    member,
    enrolments: file.enrolments,
    versions,
    when: { today, through: 'end' },
  })
  const found = eventsOfWeeks(Object.values(plans)[0] as Plan, evidence, today)
  expect([...found.keys()]).toEqual([2])
})
