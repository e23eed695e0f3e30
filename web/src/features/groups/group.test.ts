import { expect, test } from '@jest/globals'
import { conditionKinds, type Condition } from '@young-oak/api/conditions'
import type { GivenGroup } from '@young-oak/api/groups'
import { draftOf, groupFaults, groupOf, type GroupDraft } from './group.ts'
import { newCondition, sayRule, type ConditionDraft } from './rule.ts'

const template = '3b241101-e2bb-4255-8caf-4136c566a962'
const rule: Condition[] = [
  { kind: 'onProgram', template },
  { kind: 'notTrainedFor', days: 14 },
  { kind: 'daysAWeek', days: 1 },
  { kind: 'onNoProgram' },
  { kind: 'hasMax', lift: 'backSquat', not: true },
  { kind: 'maxAtLeast', lift: 'benchPress', times: 1.25 },
]
const away: GivenGroup = { name: 'Away', rule }
const named = { programs: { [template]: 'Base' }, groups: {}, locations: {}, library: {} }

test('a group comes out of its form as it went in', () => {
  expect(groupOf(draftOf(away))).toEqual(away)
  expect(groupOf(draftOf({ name: 'Masters', rule: null }))).toEqual({ name: 'Masters', rule: null })
})

test('its rule is said in words', () => {
  expect(sayRule(rule, named)).toBe(
    'on Base, not trained for 14 days, on a program with 1 day a week, on no program, no back squat max, bench press max at least 1.25 × body weight',
  )
  expect(sayRule([{ kind: 'onProgram', template }], { ...named, programs: {} })).toBe(
    'on a program that is no longer here',
  )
})

const full: ConditionDraft = {
  ...newCondition(),
  template,
  group: template,
  days: '3',
  weeks: '8',
  minutes: '45',
  times: '1,5',
  lift: 'backSquat',
  exercise: 'pullUp',
  level: 'novice',
  training: 'underOneYear',
  location: 'home',
  muscle: 'back',
  day: '2026-03-02',
}

test.each(conditionKinds.flatMap((kind) => [false, true].map((not) => [kind, not] as const)))(
  'every condition can be filled in and said: %s, not: %s',
  (kind, not) => {
    const draft: GroupDraft = { name: 'Some', by: 'rule', rule: [{ ...full, kind, not }] }
    expect(groupFaults(draft)).toEqual({})
    expect(groupOf(draftOf(groupOf(draft)))).toEqual(groupOf(draft))
    const said = sayRule(groupOf(draft).rule ?? [], named)
    expect(said).not.toMatch(/undefined|NaN/)
    const other = sayRule(groupOf({ ...draft, rule: [{ ...full, kind, not: !not }] }).rule ?? [], named)
    expect(said).not.toBe(other)
  },
)

test.each<[Partial<ConditionDraft>, string, string]>([
  [{ kind: 'onProgram', template: '' }, 'rule[0].template', 'Choose a program.'],
  [{ kind: 'notTrainedFor', days: '' }, 'rule[0].days', 'Days are a whole number from 1 to 365.'],
  [{ kind: 'daysAWeek', days: '8' }, 'rule[0].days', 'Days a week are a whole number from 1 to 7.'],
  [{ kind: 'hasMax', lift: '' }, 'rule[0].lift', 'Choose a lift.'],
  [{ kind: 'maxAtLeast', times: 'x' }, 'rule[0].times', 'Times body weight are a number from 0.1 to 5.'],
])('what is not possible is said at its place: %j', (change, path, message) => {
  const draft: GroupDraft = { name: 'Some', by: 'rule', rule: [{ ...full, ...change }] }
  expect(groupFaults(draft)).toEqual({ [path]: message })
  expect(groupFaults({ ...draft, name: ' ', rule: [full] })).toEqual({ name: 'Enter a name.' })
})
