// Templates, members and plans worked by hand: each folder's working.md holds the arithmetic.
import { expect, test } from '@jest/globals'
import { explain } from '../explain/index.ts'
import { planMember } from '../plan/index.ts'
import { asTable, fixtureJson, fixtureNames, inputOf, readFixture } from '../../fixtures/read.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

test.each(fixtureNames)('%s', (name) => {
  const input = inputOf(readFixture(name))
  const planned = planMember(input)
  expect(asTable(input, planned)).toEqual(fixtureJson(name, 'expected'))
  for (const { weeks } of Object.values(planned.plans))
    for (const { why } of weeks.flatMap(({ places }) =>
      places.flatMap(({ slots }) => slots.flatMap((slot) => slot.sets)),
    ))
      expect(why.map(explain).join()).not.toMatch(/NaN|undefined|[{}]/)
})

test('a row that is read again because a week was missed says so', () => {
  const { versions, file } = readFixture('a-missed-week-holds')
  const early = { facts: file.member.facts, logs: file.member.logs.slice(0, 2) }
  const when = { today: '2026-03-15', through: 'end' } as const
  const plan = planMember({ library, member: early, enrolments: file.enrolments, versions, when }).plans
    .enrolment
  const [first] = plan?.weeks[2]?.places[0]?.slots[0]?.sets[0]?.why ?? []
  expect(first && explain(first)).toBe('week 3 repeats the row of week 2: the week before was not trained')
})
