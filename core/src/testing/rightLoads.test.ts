// What holds of every load, whatever template and member: each property would have found a fault that a case worked by hand found.
import { describe, expect, test } from '@jest/globals'
import { findingsOf } from '../checks/index.ts'
import { ableFor } from '../evidence/index.ts'
import { liftKey } from '../library/index.ts'
import type { ShownSets } from '../member/index.ts'
import { planMember, totalOf, type Plan, type PlannedSlot, type PlanInput } from '../plan/index.ts'
import { formatIssue } from '../parsing/index.ts'
import { ruleKinds, ruleOf, type Asks, type SchemeShown, type Starting } from '../progressions/index.ts'
import { readTemplate } from '../template/index.ts'
import { addDays, compareLoads, lowest, scale, type Load, type Span } from '../units/index.ts'
import { exposureOf, handOfUnit } from './exposures.ts'
import { diceOf } from './dice.ts'
import { pairOf } from './pairs.ts'

const count = 1_000
const seed = Number(process.env.PAIRS_SEED ?? Math.floor(Date.now() % 1_000_000))

/** Random pairs, each planned to the end; the one at fault is named by its seed. */
function ofPairs(check: (input: PlanInput, plan: Plan) => string | null): void {
  for (let i = 0; i < count; i++) {
    const dice = diceOf(seed + i)
    const { template: file, member, enrolment } = pairOf(dice)
    const { template, issues } = readTemplate(file)
    if (!template) throw new Error(issues.map(formatIssue).join('\n'))
    const input: PlanInput = {
      library: {},
      member,
      enrolments: [enrolment],
      versions: { v: template },
      when: { today: addDays('2026-03-02', dice.upTo(60)), through: 'end' },
    }
    const fault = check(input, planOf(input))
    if (fault)
      throw new Error(`${fault}\nPAIRS_SEED=${seed + i}: ${JSON.stringify(file)}\n${JSON.stringify(member)}`)
  }
}

const planOf = (input: PlanInput): Plan => planMember(input).plans.e as Plan

/** The slots of a plan by where they stand, with the lift that each has there. */
const slotsIn = ({ weeks }: Plan): Map<string, PlannedSlot> =>
  new Map(
    weeks.flatMap(({ week, places }, w) =>
      places.flatMap(({ inWeek, slots }) =>
        slots.map((slot): [string, PlannedSlot] => [`${w}: week ${week}, day ${inWeek}, ${slot.slot}`, slot]),
      ),
    ),
  )

const loadsOf = ({ sets }: PlannedSlot): string =>
  JSON.stringify(sets.map(({ load, target }) => [load, target]))

test(`seed ${seed}: what is known of one lift moves no load of another`, () => {
  ofPairs((input, plan) => {
    const { member } = input
    const lift = member.facts.flatMap((fact) => (fact.kind === 'max' ? [fact.exercise] : []))[0]
    if (!lift) return null
    const more = (load: Load | undefined) => load && scale(load, 150)
    const facts = member.facts.map((fact) =>
      fact.kind === 'max' && fact.exercise === lift ? { ...fact, load: more(fact.load) as Load } : fact,
    )
    const logs = member.logs.map((log) => ({
      ...log,
      sets: log.sets.map((set) =>
        set.exercise === lift && set.load ? { ...set, load: more(set.load) } : set,
      ),
    }))
    const other = planOf({ ...input, member: { facts, logs } })
    // A stage or a phase may end sooner: then other weeks are compared than were meant.
    if (other.weeks.map(({ phase }) => phase).join() !== plan.weeks.map(({ phase }) => phase).join())
      return null
    const [before, after] = [slotsIn(plan), slotsIn(other)]
    for (const [at, slot] of before) {
      const now = after.get(at)
      if (!now || slot.exercise === lift || liftKey(now) !== liftKey(slot)) continue
      if (loadsOf(now) !== loadsOf(slot)) return `${at}: ${loadsOf(slot)} → ${loadsOf(now)} by ${lift}`
    }
    return null
  })
  expect(count).toBeGreaterThan(999)
})

test(`seed ${seed}: no load to come is above the lift’s own max without a finding`, () => {
  ofPairs((input, plan) => {
    const planned = planMember(input)
    const found = new Set(
      findingsOf(input, planned).flatMap(({ check, subject }) => (check === 'beyondMax' ? [subject] : [])),
    )
    for (const { places, week } of plan.weeks)
      for (const { slots, status } of places)
        for (const slot of status === 'next' || status === 'ahead' ? slots : [])
          for (const prescribed of slot.sets) {
            const load = asked(prescribed)
            const max = ableFor(
              planned.evidence,
              slot,
              input.versions.v?.maxes ?? { use: 'newest' },
              input.when.today,
            )
            if (!load || !max || compareLoads(load, max) <= 0) continue
            const how = prescribed.beyond?.how
            if (!how || !found.has(`${slot.slot}/${liftKey(slot)}/${how}`))
              return `week ${week}, ${slot.slot}: ${JSON.stringify([load, max, how])}`
          }
    return null
  })
  expect(count).toBeGreaterThan(999)
})

test(`seed ${seed}: helped, partial and banded reps, and lighter loads, make no hit`, () => {
  ofPairs((_, plan) => {
    for (const [at, { sets, verdict, because, done = [] }] of slotsIn(plan)) {
      if (verdict !== 'hit' || because) continue
      const [only] = sets
      if (!only?.load || sets.length > 1 || only.goal || only.byRule?.total || only.least) continue
      const asked = totalOf(only, only)
      for (const set of done.filter(({ n }) => n >= 1 && n <= only.sets)) {
        const own = (set.reps ?? 0) - (set.assisted ?? 0)
        const load = totalOf(only, set)
        const isLess = !load || (asked && compareLoads(load, asked) < 0) || own < lowest(only.reps ?? 1)
        if (isLess || set.partial || set.bands) return `${at}: a hit by ${JSON.stringify(set)}`
      }
    }
    return null
  })
  expect(count).toBeGreaterThan(999)
})

/** What a prescription asks to be moved, with the body where that is a part of it. */
const asked = (prescribed: ShownSets): Load | null => totalOf(prescribed, prescribed)

test(`seed ${seed}: a deload raises no load, and lowers what it says it lowers`, () => {
  ofPairs((_, plan) => {
    for (const [at, { sets, withoutDeload = [] }] of slotsIn(plan))
      for (const [i, own] of withoutDeload.entries()) {
        const now = sets[i]
        const [whole, less] = [asked(own), now && asked(now)]
        if (!whole || !less) continue
        if (compareLoads(less, whole) > 0) return `${at}: ${JSON.stringify([whole, less])}`
        if (own.help && now?.load && own.load && compareLoads(now.load, own.load) < 0)
          return `${at}: less assistance in a deload`
      }
    return null
  })
  expect(count).toBeGreaterThan(999)
})

test(`seed ${seed}: the order in which facts, sessions and sets stand moves nothing`, () => {
  ofPairs((input, plan) => {
    const { facts, logs } = input.member
    // Two of one change id are one and the same entry.
    if (new Set(logs.map(({ id, rev, change }) => `${id} ${rev} ${change}`)).size < logs.length) return null
    const turned = {
      facts: facts.toReversed(),
      logs: logs.toReversed().map((log) => ({ ...log, sets: log.sets.toReversed() })),
    }
    const other = planOf({ ...input, member: turned })
    const [before, after] = [slotsIn(plan), slotsIn(other)]
    for (const [at, slot] of before) {
      const now = after.get(at)
      if (!now || loadsOf(now) !== loadsOf(slot) || JSON.stringify(now.last) !== JSON.stringify(slot.last))
        return `${at}: ${loadsOf(slot)} → ${now && loadsOf(now)}`
    }
    return null
  })
  expect(count).toBeGreaterThan(999)
})

describe('a rule that writes sets or goals', () => {
  const kinds = ruleKinds.filter((kind) => ruleOf[kind].credits)
  test.each(kinds)('%s finds the state that asked what was shown', (kind) => {
    const rule = ruleOf[kind]
    for (const { params, max, span = 5 } of rule.examples) {
      const started = rule.start(startingOn(max), params)
      if ('need' in started) continue
      const states: object[] = [started]
      for (let i = 0; i < 6; i++) {
        const state = states.at(-1) as object
        const target = rule.ask(state, 'main', params, at).load ?? null
        const exposure = exposureOf({ verdict: i % 3 === 2 ? 'miss' : 'hit', target, asked: span, top: null })
        states.push(rule.next(state, exposure, params, handOfUnit('kg')))
      }
      const asks = states.map((state) => schemeOf(rule.ask(state, 'main', params, at), span))
      for (const state of states)
        for (const shown of asks) {
          const credit = rule.credits?.(state, shown, params)
          if (!credit) throw new Error(`${kind}: ${JSON.stringify(shown)} is nobody's`)
          expect(schemeOf(rule.ask(credit.state, 'main', params, at), span)).toEqual(shown)
        }
    }
  })

  const at = { week: 1, inWeek: 1 }
  const startingOn = (max: Load | null): Starting => ({
    library: {},
    lift: { exercise: 'backSquat' },
    max: max && { load: max, date: '2026-03-02', how: 'tested' },
    unit: 'kg',
    first: { scale: 100, points: 0, steps: [] },
    last: null,
  })

  /** What is shown of what a rule asks, on three sets of what is written. */
  function schemeOf(
    { sets = 3, goal, amount, moreSets = 0, moreReps = 0, variant }: Asks,
    span: Span,
  ): SchemeShown {
    const own = amount === undefined ? goal : { distance: amount, unit: 'm' as const }
    const reps = own ? ('reps' in own ? own.reps : null) : span
    return {
      sets,
      reps,
      ...(own && !('reps' in own) && { goal: own }),
      moreSets,
      moreReps,
      ...(variant !== undefined && { variant }),
    }
  }
})
