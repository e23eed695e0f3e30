import { describe, expect, test } from '@jest/globals'
import { ruleKinds, ruleOf, type Stage } from '@young-oak/core/progressions'
import { paramsFor } from './ruleStart.ts'

describe('another rule in place of one', () => {
  const stage = {
    id: 'one',
    rule: 'linear',
    params: { startPercent: 70, step: { kg: 1, lb: 2 }, misses: 3, resetBy: 15 },
  } as Stage

  test.each(ruleKinds)('keeps what they share and is whole: %s', (kind) => {
    const params = paramsFor(kind, stage)
    expect(ruleOf[kind].params.isValidSync(params, { strict: true })).toBe(true)
  })

  test('members who are on the lift go on a little below where it stands, or as the writer has said', () => {
    expect(paramsFor('wave', stage)).toMatchObject({ startLast: 90 })
    const own = { ...stage, params: { ...stage.params, startLast: 100 } } as Stage
    expect(paramsFor('wave', own)).toMatchObject({ startLast: 100 })
    expect(paramsFor('totalRepGoal', stage)).not.toHaveProperty('startLast')
  })

  test('the first load stays the writer’s own', () => {
    expect(paramsFor('wave', stage)).toMatchObject({ startPercent: 70, step: { kg: 1, lb: 2 }, misses: 3 })
    expect(paramsFor('wave', stage)).not.toHaveProperty('startLoad')
  })
})
