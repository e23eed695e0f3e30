import { describe, expect, test } from '@jest/globals'
import { ruleKinds, ruleOf } from '@young-oak/core/progressions'
import {
  choicesOf,
  draftOf,
  faultsOf,
  fieldOf,
  flatten,
  labelOf,
  listsOf,
  resizeList,
  unflatten,
} from './paramDraft.ts'

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
    const longer = resizeList(draft, 'schemes', 1)
    expect(listsOf(longer)).toEqual({ schemes: 3 })
    expect(unflatten(longer)).toMatchObject({ schemes: [{ sets: 5 }, { sets: 4 }, { sets: 4, reps: 4 }] })
    expect(resizeList(longer, 'schemes', -1)).toEqual(draft)
    expect(unflatten(resizeList({ 'sides.0': '6', 'sides.1': '8' }, 'sides', 1))).toEqual({
      sides: [6, 8, 8],
    })
  })

  test('fields are named in words, and found by the path of an error', () => {
    expect(['resetBy', 'step.kg', 'schemes.0.step.kg', 'sides.2'].map(labelOf)).toEqual([
      'Reset by',
      'Step, kg',
      'Scheme 1, step, kg',
      'Side 3',
    ])
    expect(fieldOf('schemes[0].sets')).toBe('schemes.0.sets')
  })
})

describe('the fields of a rule', () => {
  const { params } = ruleOf.linear
  const typed = draftOf(params, ruleOf.linear.examples[0]?.params as object)

  test.each(ruleKinds)('hold what may be left out too, and come back without it: %s', (kind) => {
    for (const one of ruleOf[kind].examples)
      expect(unflatten(draftOf(ruleOf[kind].params, one.params))).toEqual(one.params)
  })

  test('are all there, and those of words are choices', () => {
    expect(Object.keys(typed)).toEqual(
      expect.arrayContaining(['startLast', 'step.small.kg', 'step.percent', 'onStall']),
    )
    expect(choicesOf(params, 'onStall')).toEqual(['', 'cut', 'deload', 'spaceOut'])
    expect(choicesOf(params, 'misses')).toBeNull()
  })

  test('have their faults beside them, and those of several beside none', () => {
    expect(faultsOf(params, { ...typed, misses: '0', 'step.kg': '-1' })).toEqual({
      misses: 'Expected misses in a row, a whole number from 1 to 10.',
      'step.kg': expect.stringContaining('a step above 0 in both units'),
    })
    expect(faultsOf(params, { ...typed, startPercent: '70' })['']).toContain('exactly one of')
  })
})
