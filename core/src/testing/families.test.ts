// One strict tester for every family of units: names, frozen inputs, examples, and messages that are used and filled.
import { describe, expect, test } from '@jest/globals'
import { changeOf } from '../adjustments/registry.ts'
import { fill, messages as allMessages, type Rung } from '../explain/index.ts'
import { isNeed, type Known, type Priced } from '../loads/source.ts'
import { sourceOf } from '../loads/registry.ts'
import { ruleOf } from '../progressions/registry.ts'
import type { Exposure } from '../progressions/rule.ts'
import { makeable, round, scale, snap, usualRack, type Load } from '../units/index.ts'

const freeze = <T>(value: T): T => {
  if (typeof value === 'object' && value !== null) Object.values(Object.freeze(value)).forEach(freeze)
  return value
}
const hand = {
  unit: 'kg' as const,
  land: (load: Load) => round(load, makeable(usualRack.kg), 'nearest').load,
}

/** Every rung must be declared by its unit and fill every placeholder. */
function expectSpoken(rungs: Rung[], messages: Record<string, string>, seen: Set<string>): void {
  for (const rung of rungs) {
    if (rung.id in messages) {
      expect(fill(messages[rung.id] ?? '', rung.data)).not.toMatch(/[{}]|undefined|NaN/)
      seen.add(rung.id)
    } else expect(allMessages).toHaveProperty([rung.id])
  }
}

describe.each(Object.entries(sourceOf))('load source %s', (name, source) => {
  test('is stored under its own name', () => expect(source.of).toBe(name))
  test.each(source.examples)('$say', ({ params, known, want }) => {
    const lift = { exercise: 'backSquat' as const }
    const given = freeze<Known>({ lift, max: null, unit: 'kg', ...known })
    const priced = source.price(given, freeze(params))
    expect(source.price(given, params)).toEqual(priced)
    expect(source.params.isValidSync(params)).toBe(true)
    if (!priced || isNeed(priced)) return expect(priced).toEqual(want)
    expect(scale((priced as Priced).base, priced.percent)).toEqual(want)
    expectSpoken(priced.rungs, source.messages, new Set())
  })
})

describe.each(Object.entries(ruleOf))('rule %s', (name, rule) => {
  const seen = new Set<string>()
  test('is stored under its own name', () => expect(rule.kind).toBe(name))
  test('says itself in a sentence', () => {
    for (const { params } of rule.examples) expect(rule.sentence(params)).not.toMatch(/undefined|NaN|\{/)
  })
  test.each(rule.examples)('$say', ({ params, max, verdicts, asked }) => {
    expect(rule.params.isValidSync(params)).toBe(true)
    const inForce = max && { load: max, date: '2026-03-02', how: 'tested' as const }
    const started = rule.start({ lift: { exercise: 'backSquat' }, max: inForce, unit: 'kg' }, freeze(params))
    if (isNeed(started)) throw new Error('an example needs what it starts from')
    let state = freeze(started)
    const loads = [rule.ask(state, 'main', params)]
    for (const verdict of verdicts) {
      const target = rule.ask(state, 'main', params).load
      const exposure = freeze<Exposure>({ date: '2026-03-04', role: 'main', verdict, target })
      expect(rule.next(state, exposure, params, hand)).toEqual(rule.next(state, exposure, params, hand))
      expectSpoken(
        rule.ask(rule.next(state, { ...exposure, date: null }, params, hand), 'main', params).rungs,
        rule.messages,
        seen,
      )
      state = freeze(rule.next(state, exposure, params, hand))
      expect(JSON.parse(JSON.stringify(state))).toEqual(state)
      loads.push(rule.ask(state, 'main', params))
    }
    expect(loads.map(({ load }) => load.value)).toEqual(asked)
    for (const { rungs } of loads) expectSpoken(rungs, rule.messages, seen)
  })
  test('uses every message that it declares', () => {
    expect([...Object.keys(rule.messages)].filter((id) => !seen.has(id))).toEqual([])
  })
})

describe.each(Object.entries(changeOf))('change %s', (name, change) => {
  test('is stored under its own name', () => expect(change.kind).toBe(name))
  test.each(change.examples)('$say', ({ params, from, want }) => {
    expect(change.params.isValidSync(params)).toBe(true)
    const { rungs, ...after } = change.apply(freeze({ ...from, rungs: [] }), freeze(params))
    expect(after).toEqual(want)
    expectSpoken(rungs, change.messages, new Set())
    if (change.lightens(params)) {
      const weight = (draft: typeof from) => [draft.sets, snap(((draft.percent ?? 0) * draft.scale) / 100)]
      weight(after).forEach((value, i) => expect(value).toBeLessThanOrEqual(weight(from)[i] ?? 0))
    }
  })
})
