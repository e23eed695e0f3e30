import { describe, expect, test } from '@jest/globals'
import { ruleKinds, ruleOf, type Stage } from '@young-oak/core/progressions'
import { fieldOf, flatten, labelOf, listsOf, paramsFor, resizeList, unflatten } from './ruleDraft.ts'

const ladder = ruleOf.schemeLadder.examples[0]?.params as object

describe('the numbers of a rule as fields', () => {
  test.each(ruleKinds)('come back as they were: %s', (kind) => {
    for (const { params } of ruleOf[kind].examples) expect(unflatten(flatten(params))).toEqual(params)
  })

  test('an empty field is not stated, a comma is a point, and a word stays for the check to refuse', () => {
    expect(unflatten({ small: ' ', 'step.kg': '2,5', 'step.lb': 'five' })).toEqual({
      step: { kg: 2.5, lb: 'five' },
    })
  })

  test('a list grows by one like its last, and shrinks again', () => {
    const draft = flatten(ladder)
    const longer = resizeList(draft, 'rungs', 1)
    expect(listsOf(longer)).toEqual({ rungs: 3 })
    expect(unflatten(longer)).toMatchObject({ rungs: [{ sets: 5 }, { sets: 4 }, { sets: 4, reps: 4 }] })
    expect(resizeList(longer, 'rungs', -1)).toEqual(draft)
    expect(unflatten(resizeList({ 'sides.0': '6', 'sides.1': '8' }, 'sides', 1))).toEqual({
      sides: [6, 8, 8],
    })
  })

  test('fields are named in words, and found by the path of an error', () => {
    expect(['resetBy', 'step.kg', 'rungs.0.step.kg', 'sides.2'].map(labelOf)).toEqual([
      'Reset by',
      'Step, kg',
      'Rung 1, step, kg',
      'Side 3',
    ])
    expect(fieldOf('rungs[0].sets')).toBe('rungs.0.sets')
  })
})

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
