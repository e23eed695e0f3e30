// Templates, members and plans worked by hand: each folder's working.md holds the arithmetic.
import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { explain } from '../explain/index.ts'
import { readMember, type Enrolment } from '../member/index.ts'
import { formatGroups, planMember, type Plan } from '../plan/index.ts'
import { readTemplate, type Template } from '../template/index.ts'

const root = new URL('../../fixtures/', import.meta.url)
const json = (name: string, file: string): unknown =>
  JSON.parse(readFileSync(new URL(`${name}/${file}.json`, root), 'utf8'))

test.each(readdirSync(root))('%s', (name) => {
  const { template, issues } = readTemplate(json(name, 'template'))
  if (!template) throw new Error(JSON.stringify(issues))
  const { file, issues: faults } = readMember(json(name, 'member'), template, 'file')
  if (!file) throw new Error(JSON.stringify(faults))
  const today = file.today ?? ''
  const plan = planMember(file.member, [file.enrolment], { file: template }, { today, through: 'end' }).plans[
    file.enrolment.id
  ]
  expect(asTable(plan as Plan)).toEqual(json(name, 'expected'))
})

/** "1.2" (week and place) → slot → "3 × 5 @ 60 kg, hit". */
function asTable(plan: Plan): Record<string, Record<string, string>> {
  const table: Record<string, Record<string, string>> = {}
  for (const { week, places } of plan.weeks) {
    for (const { inWeek, slots } of places) {
      table[`${week}.${inWeek}`] = Object.fromEntries(
        slots.map(({ slot, groups, verdict, needs }) => [
          slot,
          [formatGroups(groups), verdict, needs.length ? 'needs a max' : undefined]
            .filter(Boolean)
            .join(', '),
        ]),
      )
    }
  }
  return table
}

test('a row that is read again because a week was missed says so', () => {
  const { template } = readTemplate(json('a-missed-week-holds', 'template'))
  const { file } = readMember(json('a-missed-week-holds', 'member'), template as Template, 'file')
  const early = { facts: file?.member.facts ?? [], logs: file?.member.logs.slice(0, 2) ?? [] }
  const when = { today: '2026-03-15', through: 'end' } as const
  const plan = planMember(early, [file?.enrolment as Enrolment], { file: template as Template }, when).plans
    .enrolment
  const [first] = plan?.weeks[2]?.places[0]?.slots[0]?.groups[0]?.why ?? []
  expect(first && explain(first)).toBe(
    'week 2 of the phase, read again in week 3: the week before was not trained',
  )
})
