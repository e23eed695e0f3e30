import { expect, test } from '@jest/globals'
import { newTrackRule, trackRuleFaults, trackRulesOf } from './trackRules.ts'

test('track rules are sent in order, with no track for the template as written', () => {
  expect(trackRulesOf([])).toEqual([])
  expect(trackRulesOf([newTrackRule('short'), newTrackRule('')])).toEqual(
    ['short', null].map((track) => ({ rule: [{ kind: 'daysAvailable', not: true, days: 3 }], track })),
  )
})

test('a rule that cannot be is not sent, and says at its place why', () => {
  const [condition] = newTrackRule('short').rule
  const odd = { rule: [{ ...condition!, days: '9' }], track: 'short' }
  expect(trackRulesOf([newTrackRule('short'), odd])).toBeNull()
  expect(trackRuleFaults(odd)).toEqual({ '[0].days': 'Days a week are a whole number from 1 to 7.' })
  expect(trackRuleFaults(newTrackRule('short'))).toEqual({})
})
