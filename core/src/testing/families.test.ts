// One strict tester for every family of units: names, frozen inputs, examples, and messages that are used and filled.
import { Checker } from '../parsing/index.ts'
import { checkKinds, checkOf } from '../checks/registry.ts'
import { readFact } from '../facts/readFact.ts'
import { factNames, factOf, learnFact, nothingLearned, type Fact } from '../facts/index.ts'
import { describe, expect, test } from '@jest/globals'
import { messages as allMessages } from '../explain/index.ts'
import { forecastKinds, forecastOf } from '../dryRun/index.ts'
import { changeOf, type SetsDraft } from '../adjustments/index.ts'
import type { ChangeExample, Changed } from '../adjustments/change.ts'
import { fill, type WhyStep } from '../words/index.ts'
import {
  goalExamples,
  goalKeys,
  goalOf,
  goalShapes,
  isReachedInAll,
  kindOf,
  type GoalKey,
} from '../goals/index.ts'
import { deloadOf } from '../deloads/index.ts'
import { isLater, isNeed, type Known, sourceOf } from '../loads/index.ts'
import { ruleOf, type Starting } from '../progressions/index.ts'
import type { Asks, RuleAt } from '../progressions/rule.ts'
import { triggerOf } from '../triggers/index.ts'
import { readGoal } from '../template/read/read.ts'
import { makeable, round, scale, snap, usualRack } from '../units/index.ts'
import { shifted } from '../plan/prescribe/onTheBar.ts'
import { ramp, warmUpOf, type WarmUp } from '../warmups/index.ts'
import { exposureOf, handOfUnit } from './exposures.ts'

const freeze = <T>(value: T): T => {
  if (typeof value === 'object' && value !== null) Object.values(Object.freeze(value)).forEach(freeze)
  return value
}
const hand = handOfUnit('kg')
/** What everybody has, and nothing of a gym's own. */
const library = {}

/** Every rung must be declared, by its unit or by what it shares, and fill every placeholder. */
function expectSpoken(steps: WhyStep[], messages: Record<string, string>, seen: Set<string>): void {
  for (const step of steps) {
    expect(allMessages).toHaveProperty([step.id])
    expect(fill(allMessages[step.id] ?? '', step.data)).not.toMatch(/[{}]|undefined|NaN/)
    if (step.id in messages) seen.add(step.id)
  }
}

describe.each(Object.entries(sourceOf))('load source %s', (name, source) => {
  test('is stored under its own name', () => expect(source.of).toBe(name))
  test.each(source.examples)('$say', ({ params, known, want }) => {
    const lift = { exercise: 'backSquat' as const }
    const given = freeze<Known>({ library, lift, max: null, unit: 'kg', ...known })
    const priced = source.price(given, freeze(params))
    expect(source.price(given, params)).toEqual(priced)
    expect(source.params.isValidSync(params)).toBe(true)
    // What the cell says can be typed back, but for what it does not show; a bare percent is read by what stood there.
    const typed = source.read(source.cell(params, library).toLowerCase(), library)
    if (typed) expect(params).toMatchObject(typed)
    else expect(source.cell(params, library)).toMatch(/^[\d.]+(?:-[\d.]+)?%$/)
    if (!priced || isNeed(priced)) return expect(priced).toEqual(want)
    expectSpoken(priced.steps, source.messages, new Set())
    if (isLater(priced)) return expect(want).toBe('later')
    expect(shifted(scale(priced.base, priced.percent), priced)).toEqual(want)
  })
})

describe.each(Object.entries(ruleOf))('rule %s', (name, rule) => {
  const seen = new Set<string>()
  test('is stored under its own name', () => expect(rule.kind).toBe(name))
  test('says itself in a sentence', () => {
    for (const { params } of rule.examples) expect(rule.sentence(params)).not.toMatch(/undefined|NaN|\{/)
  })
  test('is carried by what its fault says to write', () => {
    const { goal } = rule.carriedBy?.sample ?? { goal: { reps: 5 } }
    const checker = new Checker(library)
    expect(readGoal(checker, goal, 'goal')).toEqual(goal)
    expect(checker.issues).toEqual([])
    expect(rule.carriedBy?.fits(goal) ?? true).toBe(true)
  })
  test.each(rule.examples)('$say', ({ params, max, exposures, asked, role = 'main', span = 5 }) => {
    expect(rule.params.isValidSync(params)).toBe(true)
    const known: Starting = {
      library,
      lift: { exercise: 'backSquat' },
      max: max && { load: max, date: '2026-03-02', how: 'tested' },
      unit: 'kg',
      first: { scale: 100, points: 0, steps: [] },
      last: null,
    }
    const started = rule.start(known, freeze(params))
    if (isNeed(started)) throw new Error('an example needs what it starts from')
    let state = freeze(started)
    const weekly = (i: number) => {
      const one = exposures[i]
      return (typeof one === 'object' && one.at) || { week: i + 1, inWeek: 1 }
    }
    const stand = (at: RuleAt) => (state = freeze(rule.inTime?.(state, params, at, hand) ?? state))
    const asks = [rule.ask(state, role, params, weekly(0))]
    exposures.forEach((one, i) => {
      const given = typeof one === 'string' ? { verdict: one } : one
      const at = weekly(i)
      const target = rule.ask(state, role, params, at).load ?? null
      const exposure = freeze(exposureOf({ role, target, asked: span, ...given, at }))
      expect(rule.next(state, exposure, params, hand)).toEqual(rule.next(state, exposure, params, hand))
      const ahead = rule.next(state, { ...exposure, date: null, reps: [] }, params, hand)
      expectSpoken(rule.ask(ahead, role, params, at).steps, rule.messages, seen)
      state = freeze(rule.next(state, exposure, params, hand))
      expect(JSON.parse(JSON.stringify(state))).toEqual(state)
      const then = weekly(i + 1)
      asks.push(rule.ask(stand(then), role, params, then))
    })
    expect(asks.map(sayAsks)).toEqual(asked)
    for (const { steps, lines = {} } of asks)
      for (const said of [steps, ...Object.values(lines)]) expectSpoken(said, rule.messages, seen)
  })
  test('uses every message that it declares', () => {
    expect([...Object.keys(rule.messages)].filter((id) => !seen.has(id))).toEqual([])
  })
})

function sayAsks(asks: Asks): number | string | undefined {
  const { load, moreSets, sets, least, goal, variant, amount, moreReps, rir, lines } = asks
  if (lines) return sayLines(lines)
  if (least !== undefined) return `at least ${least}`
  if (variant !== undefined) return variant
  if (amount !== undefined) return String(amount)
  if (rir !== undefined || moreReps !== undefined)
    return [load?.value, moreReps && `${moreReps} more`, rir !== undefined && `${rir} RIR`]
      .filter(Boolean)
      .join(', ')
  if (!goal) return load?.value ?? (sets ? `${sets} sets` : moreSets)
  return `${sets ? `${sets} × ` : ''}${kindOf(goal).cell(goal)}${load ? ` @ ${load.value}` : ''}`
}

/** What there is to beat, line by line. */
function sayLines(lines: NonNullable<Asks['lines']>): string {
  const said = Object.entries(lines).map(([id, [first]]) => {
    const { load, reps } = first?.data as { load: { value: number; unit: string }; reps: number }
    return `${id} ${load.value} ${load.unit} × ${reps}`
  })
  return said.join(', ') || 'nothing'
}

describe.each(Object.entries(goalOf))('goal %s', (name, kind) => {
  test('is named by its own key', () => {
    expect(kind.key).toBe(name)
    for (const { goal } of goalExamples[kind.key as GoalKey]) expect(kindOf(goal)).toBe(kind)
  })
  test.each(goalExamples[kind.key as GoalKey])('$say', ({ goal, cell, done, meets }) => {
    freeze([goal, done])
    expect(goalShapes[kind.key as GoalKey].isValidSync(goal)).toBe(true)
    expect(kind.cell(goal)).toBe(cell)
    expect(kind.read(cell.toLowerCase())).toEqual(goal)
    const together = kind.inAll ? isReachedInAll(goal, done) : done.every((one) => kind.meets(goal, one))
    expect(together).toBe(meets)
    const seconds = kind.seconds(goal, 3, 1)
    if (seconds !== null) expect(seconds).toBeGreaterThan(0)
    // No other kind reads this cell as its own.
    const readers = goalKeys.filter((key) => {
      const read = goalOf[key].read(cell.toLowerCase())
      return read && goalShapes[key].isValidSync(read, { strict: true })
    })
    expect(readers).toEqual([name])
  })
})

describe.each(Object.entries(warmUpOf))('warm-up %s', (name, warmUp) => {
  test('is stored under its own name', () => expect(warmUp.kind).toBe(name))
  test.each(warmUp.examples)('$say', ({ params, work, want }) => {
    expect(warmUp.params.isValidSync(freeze(params))).toBe(true)
    expect(warmUp.sentence(params)).not.toMatch(/undefined|NaN/)
    const can = makeable(usualRack.kg)
    const sets = ramp({ kind: name, ...params } as WarmUp, { value: work, unit: 'kg' }, can, false)
    expect(sets.map(({ load, reps }) => [load.value, reps])).toEqual(want)
    for (const { why } of sets) expectSpoken(why, {}, new Set())
  })
})

describe.each(Object.entries(triggerOf))('trigger %s', (name, sign) => {
  test('is stored under its own name', () => expect(sign.kind).toBe(name))
  test.each(sign.examples)('$say', ({ params, run, want }) => {
    expect(sign.params.isValidSync(params)).toBe(true)
    expect(sign.sentence(params)).not.toMatch(/undefined|NaN/)
    expect(sign.fires(freeze(run), freeze(params))).toBe(want)
  })
})

describe.each(Object.entries(changeOf))('change %s', (name, change) => {
  test('is stored under its own name', () => expect(change.kind).toBe(name))
  test('acts on one level', () => {
    expect([change.onWeek, change.onSession, change.onSlot, change.onSets].filter(Boolean)).toHaveLength(1)
  })
  test.each(change.examples)('$say', (example) => {
    const { params } = freeze(example)
    expect(change.params.isValidSync(params)).toBe(true)
    expect(change.sentence(params, library)).not.toMatch(/undefined|NaN/)
    const made = makeChange(example)
    const gone = 'slot' in example && example.want === 'gone'
    if (example.want === null) return expect(made).toBeNull()
    expect(made?.now).toEqual(gone ? null : example.want)
    if (made?.step) expectSpoken([made.step], change.messages, new Set())
    if ('prescribed' in example && change.lightens(params)) {
      const weight = (draft: SetsDraft) => [draft.sets, snap(((draft.percent ?? 0) * draft.scale) / 100)]
      weight(made?.now as SetsDraft).forEach((value, i) =>
        expect(value).toBeLessThanOrEqual(weight(example.prescribed)[i] ?? 0),
      )
    }
  })

  function makeChange(example: ChangeExample<object>): Changed<unknown> {
    if ('week' in example) return change.onWeek?.(example.week, example.params, 'test') ?? null
    if ('session' in example) return change.onSession?.(example.session, example.params, 'test') ?? null
    if ('slot' in example) return change.onSlot?.(example.slot, example.params, 'test', library) ?? null
    return change.onSets?.(example.prescribed, example.params, 'test') ?? null
  }
})

describe.each(Object.entries(forecastOf))('forecast %s', (name, forecast) => {
  test('is named by its own kind, and shown', () => {
    expect(forecast.kind).toBe(name)
    expect(forecastKinds).toContain(name)
  })
  test.each(forecast.examples)('$say', ({ params, want }) => {
    expect(forecast.params.isValidSync(params)).toBe(true)
    expect(forecast.sentence(params)).not.toMatch(/undefined|NaN/)
    expect(want.map((_, i) => forecast.does(i + 1, params))).toEqual(want)
  })
})

describe.each(Object.entries(deloadOf))('deload %s', (name, recipe) => {
  test('is stored under its own name, and says itself', () => {
    expect(recipe.kind).toBe(name)
    expect(recipe.saidFor && recipe.saidAgainst).toMatch(/\.$/)
    for (const { params } of recipe.examples) expect(recipe.sentence(params)).not.toMatch(/undefined|NaN|\{/)
  })
  test.each(recipe.examples)('$say', ({ params, want }) => {
    expect(recipe.params.isValidSync(freeze(params))).toBe(true)
    const [first] = recipe.weeks(params)
    const changes = recipe.weeks(params).flatMap((week) => week.do)
    expect(changes.every((change) => changeOf[change.kind].lightens(change))).toBe(true)
    if (want === 'nothing') return expect(first?.do.map(({ kind }) => kind)).toEqual(['drop'])
    const written: SetsDraft = { sets: 4, percent: 80, scale: 100, rir: 2, reps: 6 }
    const light = (first?.do ?? []).reduce<SetsDraft>(
      (draft, change) => changeOf[change.kind].onSets?.(draft, change, 'deload')?.now ?? draft,
      written,
    )
    const meant = { value: snap(((light.percent ?? 0) * light.scale) / 100), unit: 'kg' as const }
    const load = round(meant, makeable(usualRack.kg), 'down').load.value
    expect({ sets: light.sets, load, rir: light.rir }).toEqual(want)
    expect([light.sets <= 4, load <= 80, (light.rir ?? 0) >= 2]).toEqual([true, true, true])
  })
})

describe.each(factNames.map((name) => [name, factOf[name]] as const))('fact %s', (name, kind) => {
  test('is stored under its own name', () => expect(kind.kind).toBe(name))
  test('keeps parts that no other kind keeps', () => {
    const others = factNames.filter((one) => one !== name).flatMap((one) => Object.keys(factOf[one].none))
    expect(Object.keys(kind.none).filter((part) => others.includes(part))).toEqual([])
  })
  test.each(kind.examples)('$say', ({ fact, known, want }) => {
    const checker = new Checker(library)
    const written = { kind: name, id: 'f', date: '2026-03-02', ...fact }
    const read = readFact(checker, written, '', 0)
    expect(checker.issues).toEqual([])
    const before = freeze({ ...nothingLearned, last: {}, estimates: {}, ...known })
    const after = learnFact(library, before, freeze(read as Fact))
    expect(after).toEqual({ ...before, ...want })
  })
})

describe.each(checkKinds)('check %s', (name) => {
  const { kind, title, messages } = checkOf[name]
  test('is named by its own kind, and says what is the matter and what to change', () => {
    expect([kind, title.length > 0]).toEqual([name, true])
    for (const { what, next } of Object.values(messages))
      expect([what, next].join(' ')).toMatch(/^\S.*\. \S.*\.$/)
  })
})
