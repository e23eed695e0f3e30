import { describe, expect, test } from '@jest/globals'
import { changeNames, changeOf } from '@young-oak/core/adjustments'
import { deloadKinds, deloadOf } from '@young-oak/core/deloads'
import { ruleKinds, ruleOf } from '@young-oak/core/progressions'
import { triggerKinds, triggerOf } from '@young-oak/core/triggers'
import type { Fields } from '@young-oak/core/words'
import { reach, type ObjectSchema, type Schema } from 'yup'
import {
  choicesOf,
  draftOf,
  faultsOf,
  fieldOf,
  flatten,
  listsOf,
  resizeList,
  unflatten,
  wordsOf,
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

  test('are found by the path of an error', () => expect(fieldOf('schemes[0].sets')).toBe('schemes.0.sets'))
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

type Kind = { params: ObjectSchema<object>; fields: Fields; examples: { params: object }[] }
const kinds: [string, Kind][] = [
  ...ruleKinds.map((kind) => [`progression ${kind}`, ruleOf[kind]] as [string, Kind]),
  ...triggerKinds.map((kind) => [`trigger ${kind}`, triggerOf[kind]] as [string, Kind]),
  ...deloadKinds.map((kind) => [`deload ${kind}`, deloadOf[kind]] as [string, Kind]),
  ...changeNames.map((kind) => [`change ${kind}`, changeOf[kind]] as [string, Kind]),
]

describe('every parameter', () => {
  test.each(kinds)('has a label, a unit and a hint in the file of its kind: %s', (_, kind) => {
    const { params, fields, examples } = kind
    const paths = examples.flatMap((example) => {
      const typed = draftOf(params, example.params)
      return [...Object.keys(typed), ...Object.keys(listsOf(typed))]
    })
    for (const path of paths) {
      const { label, unit, hint, choices = {} } = wordsOf(fields, path)
      expect([path, label]).not.toEqual([path, path])
      expect(label).toMatch(/^[A-Z][^#]{2,44}$/)
      expect(hint).toMatch(/^\S.{5,100}\.$/)
      const allowed = choicesOf(params, path)
      expect(unit !== null).toBe(isMeasured(params, path))
      for (const choice of allowed && Object.keys(choices).length ? allowed : [])
        expect(choices[choice]).toBeTruthy()
    }
    const named = new Set(paths.map((path) => path.replace(/\.\d+/g, '.#')))
    expect(Object.keys(fields).filter((path) => !named.has(path))).toEqual([])
  })
})

/** What is measured has a unit; what is chosen, named or listed has none. Steps have fields that their schema does not list. */
function isMeasured(params: ObjectSchema<object>, path: string): boolean {
  try {
    const { type } = (reach(params, path.replace(/\.(\d+)/g, '[$1]')) as Schema).describe()
    return type === 'number'
  } catch {
    return true
  }
}
