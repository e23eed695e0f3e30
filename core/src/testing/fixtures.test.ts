// Templates, members and plans worked by hand: each folder's working.md holds the arithmetic.
import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { readMember } from '../member/index.ts'
import { formatGroups, planMember, type Plan } from '../plan/index.ts'
import { readTemplate } from '../template/index.ts'

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
