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
  fieldsThatMayBe,
  fieldOf,
  flatten,
  listsOf,
  resizeList,
  settled,
  takeWay,
  unflatten,
  waysOf,
  wordsOf,
} from './paramDraft.ts'

type Kind = { params: ObjectSchema<object>; fields: Fields; examples: { params: object }[] }
const kinds: [string, Kind][] = [
  ...ruleKinds.map((kind) => [`progression ${kind}`, ruleOf[kind]] as [string, Kind]),
  ...triggerKinds.map((kind) => [`trigger ${kind}`, triggerOf[kind]] as [string, Kind]),
  ...deloadKinds.map((kind) => [`deload ${kind}`, deloadOf[kind]] as [string, Kind]),
  ...changeNames.map((kind) => [`change ${kind}`, changeOf[kind]] as [string, Kind]),
]

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

  test('an entry of a list has an empty field for what it may leave out, and more entries have it too', () => {
    const draft = draftOf(ruleOf.schemeLadder, ladder)
    const weeks = Object.keys(draft).filter((path) => path.endsWith('.weeks'))
    expect(weeks.map((path) => draft[path])).toEqual(weeks.map(() => ''))
    expect(weeks).toHaveLength(listsOf(draft).schemes ?? 0)
    expect(unflatten(draft)).toEqual(ladder)
    expect(unflatten({ ...draft, 'schemes.0.weeks': '3' })).toHaveProperty('schemes.0.weeks', 3)
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
  const typed = draftOf(ruleOf.linear, ruleOf.linear.examples[0]?.params as object)

  test.each(ruleKinds)('hold what may be left out too, and come back without it: %s', (kind) => {
    for (const one of ruleOf[kind].examples)
      expect(unflatten(draftOf(ruleOf[kind], one.params))).toEqual(one.params)
  })

  test('are those that act together, and those of words are choices', () => {
    expect(Object.keys(typed)).toEqual(
      expect.arrayContaining(['startLoad.kg', 'startLoad.lb', 'startLast', 'step.small.kg', 'onStall']),
    )
    for (const path of ['startPercent', 'startReps', 'step.percent']) expect(typed).not.toHaveProperty([path])
    expect(choicesOf(params, 'onStall')).toEqual(['', 'cut', 'deload', 'spaceOut'])
    expect(choicesOf(params, 'misses')).toBeNull()
  })

  test('have their faults beside them, and those of several beside none', () => {
    expect(faultsOf(ruleOf.linear, { ...typed, misses: '0', 'step.kg': '-1' })).toEqual({
      misses: 'Expected misses in a row, a whole number from 1 to 10.',
      'step.kg': expect.stringContaining('a step above 0 in both units'),
    })
    expect(
      faultsOf(ruleOf.linear, { 'startLoad.kg': '40', 'startLoad.lb': '90', ...typed, startPercent: '70' })[
        ''
      ],
    ).toContain('exactly one of')
    const amrap = draftOf(ruleOf.amrapSet, ruleOf.amrapSet.examples[0]?.params ?? {})
    expect(faultsOf(ruleOf.amrapSet, { ...amrap, doubleFrom: '3' })['']).toBe(
      'Expected “Extra reps for twice the larger step” above “Extra reps for the larger step”.',
    )
  })

  test('are those of another way once that is taken, and what else was typed stays', () => {
    const percent = takeWay(
      ruleOf.linear,
      { ...typed, misses: '2' },
      'First load',
      'as a percentage of the max',
    )
    expect(percent).toMatchObject({ startPercent: '', startReps: '', misses: '2' })
    expect(percent).not.toHaveProperty(['startLoad.kg'])
    const back = takeWay(ruleOf.linear, percent, 'First load', 'as one load for everyone')
    expect(back).toMatchObject({ 'startLoad.kg': '', 'startLoad.lb': '', misses: '2' })
    expect(Object.keys(back)).toEqual(Object.keys(typed))
  })

  test('that need a choice come and go with it', () => {
    const { doubleProgression: kind } = ruleOf
    const before = draftOf(kind, kind.examples[0]?.params as object)
    expect(before).not.toHaveProperty('total')
    const total = settled(kind, { ...before, advanceWhen: 'total' })
    expect(total).toMatchObject({ total: '' })
    expect(settled(kind, { ...total, total: '32', advanceWhen: 'oneAtTop' })).not.toHaveProperty('total')
  })

  test.each(kinds)('change with no choice of a way but their own: %s', (_, kind) => {
    for (const { params: one } of kind.examples) {
      const draft = draftOf(kind, one)
      expect(settled(kind, draft)).toEqual(draft)
      const things = new Set(Object.values(kind.fields).flatMap(({ way }) => (way ? [way.of] : [])))
      for (const of of things) {
        expect(waysOf(kind, of).length).toBeGreaterThan(1)
        const all = waysOf(kind, of).map((is) => Object.keys(takeWay(kind, draft, of, is)))
        expect(all.some((keys) => keys.join() === Object.keys(draft).join())).toBe(true)
        expect(new Set(all.map((keys) => keys.join())).size).toBe(all.length)
      }
    }
  })
})

describe('every parameter', () => {
  test.each(kinds)('has a label, a unit and a hint in the file of its kind: %s', (_, kind) => {
    const { params, fields, examples } = kind
    const paths = examples.flatMap((example) => {
      const paths = fieldsThatMayBe(kind, example.params)
      return [...paths, ...Object.keys(listsOf(flatten(example.params)))]
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
