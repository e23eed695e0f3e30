// Rules that write sets and reps, and those that wait: what their examples cannot say. Through planMember, as it is used.
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { SessionLog, ShownSets } from '../member/index.ts'
import { planMember, snapshot, type Plan } from '../plan/index.ts'
import type { Fact, Member } from '../facts/index.ts'
import { formatSetsShown } from '../views/index.ts'
import { readTemplate, type Template } from '../template/index.ts'
import { compareLoads, type Load } from '../units/index.ts'
import { exposureOf, handOfUnit } from '../testing/exposures.ts'
import { growingSquares } from './growingSquares.ts'
import { ruleOf, type RuleKind } from './registry.ts'

/** What everybody has, and nothing of a gym's own. */
const library = {}

type Group = Record<string, unknown>
const byRule: Group = { id: 'work', sets: 3, goal: { reps: 5 }, load: { of: 'progression' } }
const plus: Group = { id: 'plus', sets: 1, goal: { reps: 5, amrap: 'last' }, load: { of: 'progression' } }
const total: Group = { id: 'total', sets: 4, goal: { totalReps: 20 }, load: { of: 'none' } }

const count: Group = { id: 'count', sets: 1, goal: { most: 'reps', seconds: 300 }, load: { of: 'none' } }

const file = (rule: string, params: object, prescriptions: Group[] = [byRule], weeks = 8) => ({
  format: 2,
  name: 'One lift',
  phases: [{ id: 'p', name: 'Block', weeks, rotation: ['a'], perWeek: 1 }],
  sessions: { a: { name: 'A', sections: [{ name: 'Main', slots: ['squat'] }] } },
  slots: { squat: { exercise: 'backSquat', uses: [{ progression: 'squat' }], rows: { p: [prescriptions] } } },
  progressions: { squat: { stages: [{ id: 'one', rule, params }] } },
})
const paramsOf = (rule: RuleKind) => ruleOf[rule].examples[0]?.params as object
const carrier: Partial<Record<RuleKind, Group[]>> = {
  amrapSet: [byRule, plus],
  totalRepGoal: [total],
  density: [count],
}
const templateOf = (rule: RuleKind, params = paramsOf(rule)): Template => {
  const { template, issues } = readTemplate(file(rule, params, carrier[rule]))
  if (!template) throw new Error(JSON.stringify(issues))
  return template
}

const start = '2026-03-02'
const max: Fact = {
  id: 'max',
  rev: 1,
  date: start,
  actsFrom: start,
  kind: 'max',
  exercise: 'backSquat',
  load: { value: 120, unit: 'kg' },
  reps: 1,
  how: 'tested',
}
type Segments = { from: string; version: string }[]
const plan = (
  versions: Record<string, Template>,
  logs: SessionLog[],
  today: string,
  segments?: Segments,
): Plan =>
  planMember({
    library,
    member: { facts: [max], logs } satisfies Member,
    enrolments: [{ id: 'e', segments: segments ?? [{ from: start, version: 'v' }] }],
    versions,
    when: { today, through: 'end' },
  }).plans.e as Plan
const dayOf = (week: number) => new Date(Date.UTC(2026, 2, 2 + 7 * (week - 1))).toISOString().slice(0, 10)
const squatIn = (made: Plan, week: number) => made.weeks[week - 1]?.places[0]?.slots[0]

function repsFor(goal: ShownSets['goal'], sets: number, reps: ShownSets['reps']): number {
  if (goal && 'totalReps' in goal) return Math.ceil(goal.totalReps / sets)
  if (goal && 'most' in goal) return (goal.beat ?? 40) + 1
  return reps as number
}

/** Trains week after week as shown: `short` takes six reps off the last set, but leaves one. */
function train(template: Template, doings: ('hit' | 'short')[]): SessionLog[] {
  const logs: SessionLog[] = []
  doings.forEach((doing, i) => {
    const date = dayOf(i + 1)
    const made = plan({ v: template }, logs, date)
    const prescriptions = squatIn(made, i + 1)?.sets ?? []
    const asked = prescriptions.flatMap(({ sets, reps, load, goal }) =>
      Array.from({ length: sets }, () => ({
        load,
        reps: repsFor(goal, sets, reps),
      })),
    )
    const sets = asked.map(({ load, reps }, n) => ({
      id: `${i}:${n}`,
      rev: 1,
      slot: 'squat',
      n: n + 1,
      state: 'done' as const,
      exercise: 'backSquat' as const,
      ...(load && { load }),
      reps: doing === 'short' && n === asked.length - 1 ? Math.max(1, reps - 6) : reps,
    }))
    const shown = snapshot(made, i + 1)
    if (!shown) throw new Error('nothing was shown')
    const id = `e:${i + 1}:1`
    logs.push({
      id,
      rev: 1,
      date,
      enrolment: 'e',
      position: i + 1,
      attempt: 1,
      ordinal: 1,
      closed: true,
      shown,
      sets,
    })
  })
  return logs
}

const kinds = [
  'schemeLadder',
  'growingSquares',
  'wave',
  'stepBand',
  'amrapSet',
  'totalRepGoal',
  'density',
  'recordRotation',
] as const
const doings = fc.array(fc.constantFrom('hit' as const, 'short' as const), { maxLength: 7 })

describe.each(kinds)('%s', (kind) => {
  const template = templateOf(kind)

  test('gives one plan in any order of arrival, and never less than a set, a rep and the bar', () => {
    fc.assert(
      fc.property(doings, fc.array(fc.nat(), { minLength: 7, maxLength: 7 }), (done, keys) => {
        const logs = train(template, done)
        const today = dayOf(done.length + 1)
        const made = plan({ v: template }, logs, today)
        const shuffled = logs
          .map((log, i) => [keys[i] ?? 0, log] as const)
          .sort(([a], [b]) => a - b)
          .map(([, log]) => log)
        expect(plan({ v: template }, shuffled, today)).toEqual(made)
        for (const { places } of made.weeks)
          for (const { sets, load, reps } of places.flatMap(({ slots }) =>
            slots.flatMap(({ sets: prescriptions }) => prescriptions),
          )) {
            expect(sets).toBeGreaterThan(0)
            if (reps !== null) expect(reps).toBeGreaterThan(0)
            if (load) expect(load.value).toBeGreaterThanOrEqual(20)
          }
      }),
      { numRuns: 30 },
    )
  })

  test('a session that was skipped changes nothing of what is asked next', () => {
    const logs = train(template, ['hit', 'short'])
    const ahead = squatIn(plan({ v: template }, logs, dayOf(3)), 3)
    const last = logs[1] as SessionLog
    const shown = last.shown && { ...last.shown, at: { ...last.shown.at, week: 3, phaseWeek: 3 } }
    const skipped: SessionLog = { ...last, id: 'e:3:1', date: dayOf(3), position: 3, shown, sets: [] }
    const then = squatIn(plan({ v: template }, [...logs, skipped], dayOf(4)), 4)
    expect(formatSetsShown(library, then?.sets ?? [])).toBe(formatSetsShown(library, ahead?.sets ?? []))
  })
})

describe('growing squares', () => {
  // Arithmetic: 36, 64 and 100 reps with 80 kg. The comparison is common practice, no source.
  test.each([
    [6, 2880],
    [8, 5120],
    [10, 8000],
  ])('%i × %i with 80 kg', (side, tonnage) => {
    const params = {
      startLoad: { kg: 80, lb: 175 },
      sides: [side, 12],
      step: { kg: 2.5, lb: 5 },
      lowerBy: 20,
    }
    const [prescribed] = squatIn(plan({ v: templateOf('growingSquares', params) }, [], start), 1)?.sets ?? []
    expect((prescribed?.sets ?? 0) * (prescribed?.reps as number) * (prescribed?.load?.value ?? 0)).toBe(
      tonnage,
    )
  })

  test('a new version with fewer squares goes on with what there is', () => {
    const params = {
      startLoad: { kg: 80, lb: 175 },
      sides: [6, 8, 10],
      step: { kg: 2.5, lb: 5 },
      lowerBy: 20,
    }
    const versions = {
      v: templateOf('growingSquares', params),
      w: templateOf('growingSquares', { ...params, sides: [6, 8] }),
    }
    const logs = train(versions.v, ['hit', 'short', 'short'])
    expect(formatSetsShown(library, squatIn(plan(versions, logs, dayOf(4)), 4)?.sets ?? [])).toMatch(
      /^10 × 10/,
    )
    const segments = [
      { from: start, version: 'v' },
      { from: dayOf(4), version: 'w' },
    ]
    expect(
      formatSetsShown(library, squatIn(plan(versions, logs, dayOf(4), segments), 4)?.sets ?? []),
    ).toMatch(/^6 × 6 @/)
  })

  test('its own history comes in the member’s unit, without a reading of the other rule’s state', () => {
    const sample = ruleOf.growingSquares.examples[0]?.params as Parameters<typeof growingSquares.next>[2]
    const best: Load = { value: 100, unit: 'kg' }
    const state = { load: best, misses: 0, why: [], at: 1, best: [best, null] }
    const miss = exposureOf({ date: start, verdict: 'miss', target: best, asked: 8, reps: [8] })
    const next = growingSquares.next(state, miss, sample, handOfUnit('lb'))
    expect(next.load.unit).toBe('lb')
    expect(compareLoads(next.load, best)).toBe(0)
  })
})

describe('records in turn', () => {
  test('a count that a new version brings starts from the best of the others, by the percents that both begin at', () => {
    const fives = { reps: 5, startPercent: 80 }
    const step = { kg: 2.5, lb: 5 }
    const versions = {
      v: templateOf('recordRotation', { rotation: [fives, { reps: 3, startPercent: 90 }], step }),
      w: templateOf('recordRotation', { rotation: [fives, { reps: 1, startPercent: 100 }], step }),
    }
    // Of a max of 120: fives at 96, on plates 95, then 98.5; singles by 100 / 80 of that is 123.125; the threes still stand at 108.
    const segments = [
      { from: start, version: 'v' },
      { from: dayOf(2), version: 'w' },
    ]
    const prescriptions =
      squatIn(plan(versions, train(versions.v, ['hit']), dayOf(2), segments), 2)?.sets ?? []
    expect(prescriptions[0]?.target).toEqual({ value: 123.125, unit: 'kg' })
    expect(prescriptions[0]?.reps).toBe(1)
  })
})

describe('another rule from a new version on', () => {
  test('starts from the max, or from where the lift stood, and says so', () => {
    const wave = paramsOf('wave') as Record<string, unknown>
    const { startLoad: _own, ...rest } = wave
    const versions = {
      v: templateOf('stepBand'),
      w: templateOf('wave', { ...rest, startPercent: 70, startLast: 90 }),
    }
    const logs = train(versions.v, ['hit', 'hit'])
    const segments = [
      { from: start, version: 'v' },
      { from: dayOf(3), version: 'w' },
    ]
    const prescriptions = squatIn(plan(versions, logs, dayOf(3), segments), 3)?.sets ?? []
    expect(formatSetsShown(library, prescriptions)).toBe('4 × 8 @ 90 kg')
    expect(prescriptions[0]?.why.map(({ id }) => id)).toContain('stage.version')
  })
})

describe('what a rule needs is said at its place', () => {
  const places = (rule: RuleKind, params: object, prescriptions?: Group[]) =>
    (readTemplate(file(rule, params, prescriptions)).issues ?? []).map(
      ({ path, expected }) => `${path}: ${expected}`,
    )

  const faults: [string, RuleKind, object, Group[] | undefined, string][] = [
    [
      'an AMRAP set',
      'amrapSet',
      paramsOf('amrapSet'),
      [byRule],
      'slots.squat.uses[0]: a load of the progression whose last set is an AMRAP set',
    ],
    [
      'reps in all',
      'totalRepGoal',
      paramsOf('totalRepGoal'),
      [{ ...total, goal: { reps: 5 } }],
      'slots.squat.uses[0]: a goal of reps in all',
    ],
    [
      'plain reps',
      'wave',
      paramsOf('wave'),
      [plus],
      'slots.squat.uses[0]: a load of the progression on sets of plain reps',
    ],
    [
      'one rung',
      'schemeLadder',
      { ...paramsOf('schemeLadder'), schemes: [{ sets: 5, reps: 5, step: { kg: 1, lb: 2 } }] },
      undefined,
      'progressions.squat.stages[0].params.schemes: schemes, sets by reps, a list of 2 to 6',
    ],
    [
      'a rung of no sets',
      'schemeLadder',
      {
        ...paramsOf('schemeLadder'),
        schemes: [
          { sets: 0, reps: 5, step: { kg: 1, lb: 2 } },
          { sets: 3, reps: 3, step: { kg: 1, lb: 2 } },
        ],
      },
      undefined,
      'progressions.squat.stages[0].params.schemes[0].sets: sets, a whole number from 1 to 12',
    ],
    [
      'a step of nothing',
      'wave',
      { ...paramsOf('wave'), nextWave: { kg: 0, lb: 5 } },
      undefined,
      'progressions.squat.stages[0].params.nextWave: a step above 0 in both units, at most 50',
    ],
    [
      'a band upside down',
      'stepBand',
      { ...paramsOf('stepBand'), small: 105 },
      undefined,
      'progressions.squat.stages[0].params: "small" at most 100, "large" at least 100',
    ],
    [
      'a larger step that is smaller',
      'amrapSet',
      { ...paramsOf('amrapSet'), extraStep: { kg: 1, lb: 1 } },
      [byRule, plus],
      'progressions.squat.stages[0].params: "extraStep" at least "step"',
    ],
    [
      'a most below the first',
      'totalRepGoal',
      { first: 30, add: 5, most: 20 },
      [total],
      'progressions.squat.stages[0].params: "most" at least "first"',
    ],
    [
      'all taken off',
      'growingSquares',
      { ...paramsOf('growingSquares'), lowerBy: 100 },
      undefined,
      'progressions.squat.stages[0].params.lowerBy: a percent from 1 to 50',
    ],
  ]

  test.each(faults)('%s', (_, rule, params, prescriptions, want) =>
    expect(places(rule, params, prescriptions)).toContainEqual(expect.stringContaining(want)),
  )
})
