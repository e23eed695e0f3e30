import { expect, test } from '@jest/globals'
import { groupSchema, type GivenGroup } from '@young-oak/api/groups'
import { draftOf, groupOf, sayRule, type GroupDraft } from './group.ts'

const template = '3b241101-e2bb-4255-8caf-4136c566a962'
const away: GivenGroup = {
  name: 'Away',
  rule: [
    { kind: 'onProgram', template },
    { kind: 'notTrainedFor', days: 14 },
    { kind: 'daysAWeek', days: 1 },
    { kind: 'onNoProgram' },
  ],
}

test('a group comes out of its form as it went in', () => {
  expect(groupOf(draftOf(away))).toEqual(away)
  expect(groupOf(draftOf({ name: 'Masters', rule: null }))).toEqual({ name: 'Masters', rule: null })
})

test('its rule is said in words', () => {
  expect(sayRule(away.rule ?? [], { [template]: 'Base' })).toBe(
    'on Base, not trained for 14 days, on a program with 1 day a week, on no program',
  )
  expect(sayRule([{ kind: 'onProgram', template }], {})).toBe('on a program that is no longer here')
})

test.each<[Partial<GroupDraft>, string]>([
  [{ name: ' ' }, 'Enter a name.'],
  [{ rule: [{ kind: 'onProgram', template: '', days: '' }] }, 'Choose a program.'],
  [{ rule: [{ kind: 'notTrainedFor', template: '', days: '' }] }, 'Days are a whole number from 1 to 365.'],
  [{ rule: [{ kind: 'daysAWeek', template: '', days: '8' }] }, 'Days a week are a whole number from 1 to 7.'],
])('what is not possible is said: %j', (change, message) => {
  const draft = { ...draftOf(away), ...change }
  expect(() => groupSchema.validateSync(groupOf(draft), { strict: true })).toThrow(message)
})
