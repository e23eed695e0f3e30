import type { Fact, Member } from '../facts/index.ts'
import { doingUnder, forecastKinds, type Supposed } from '../dryRun/index.ts'
import type { When } from '../plan/index.ts'
import type { Enrolment, SessionLog, SetLog } from '../member/index.ts'
import { muscles, type ExerciseId } from '../library/index.ts'
import { ruleKinds, ruleOf, sampleGroup, sampleRole, type RuleKind } from '../progressions/index.ts'
import { triggerKinds, triggerOf } from '../triggers/index.ts'
import { addDays, type Unit } from '../units/index.ts'
import type { Dice } from './dice.ts'
import { phaseOf } from './phases.ts'

const start = '2026-03-02'
const bars: ExerciseId[] = ['backSquat', 'benchPress', 'deadlift', 'overheadPress', 'barbellRow']
const others: ExerciseId[] = ['dumbbellRow', 'pullUp', 'dip', 'legPress', 'lunge']

/** A template that reads, of random rules, loads, deloads and turns, and a member with facts and logs of every kind. */
export function pairOf(dice: Dice): {
  template: object
  member: Member
  enrolment: Enrolment
  doing?: When['doing']
} {
  const template = templateOf(dice)
  const slots = Object.entries(template.slots as Record<string, { exercise: ExerciseId }>)
  const perWeek = (template.phases as { perWeek: number }[])[0]?.perWeek ?? 1
  return {
    template,
    member: memberOf(dice, slots, perWeek),
    enrolment: {
      id: 'e',
      ...(dice.maybe() && { clock: 'calendar' as const }),
      segments: [{ from: start, version: 'v', ...(dice.maybe(0.3) && { track: 't' }) }],
    },
    ...(dice.maybe(0.3) && {
      doing: doingUnder({ kind: dice.among(forecastKinds), week: 1 + dice.upTo(3) } as Supposed),
    }),
  }
}

function templateOf(dice: Dice): Record<string, unknown> {
  const count = 1 + dice.upTo(2)
  const phases = Array.from({ length: 1 + dice.upTo(1) }, (_, i) => phaseOf(dice, `p${i}`))
  const made = Array.from({ length: count }, (_, i) =>
    slotOf(
      dice,
      `s${i}`,
      phases.map(({ id }) => id),
    ),
  )
  if (dice.maybe(0.4)) made.push(readerOf(dice, made[0] as MadeSlot, phases))
  const again = dice.maybe(0.3) && made[0] ? sharerOf(dice, made[0]) : null
  if (again) made.push(again)
  const reader = made.find(({ id }) => id === 'r')
  const own = made.filter((one) => one !== reader)
  const half = Math.ceil(own.length / 2)
  const a = own.slice(0, half)
  const b = own.slice(half)
  const sessions = {
    a: {
      name: 'A',
      sections: [
        {
          name: 'Main',
          slots: a.map(({ id }) => id),
          ...(a.length > 1 && { rotation: { by: 'week', every: 1 } }),
        },
        ...(reader ? [{ name: 'After', slots: ['r'] }] : []),
      ],
    },
    ...(b.length && { b: { name: 'B', sections: [{ name: 'Main', slots: b.map(({ id }) => id) }] } }),
  }
  const rotation = Object.keys(sessions)
  return {
    format: 2,
    name: 'Any',
    trainingMax: 90,
    maxes: { use: 'newest' },
    missed: dice.among(['hold', 'drop', 'shift', 'repeat']),
    ...(dice.maybe(0.3) && { away: { weeks: 1 + dice.upTo(2), back: -10 } }),
    phases: phases.map((phase) => ({ ...phase, rotation })),
    sessions,
    slots: Object.fromEntries(made.map(({ id, slot }) => [id, slot])),
    progressions: Object.assign({}, ...made.map(({ progressions }) => progressions)),
    tracks: { t: { name: 'T', changes: trackOf(dice) } },
  }
}

/** What the track changes: loads everywhere, and sometimes the exercise of the first slot. */
const trackOf = (dice: Dice): object[] => [
  { id: 'c', do: { kind: 'scaleLoad', by: -20 }, where: {} },
  ...(dice.maybe(0.3)
    ? [{ id: 's', do: { kind: 'swap', exercise: dice.among(bars) }, where: { slots: ['s0'] } }]
    : []),
  ...(dice.maybe(0.1) ? [{ id: 'd', do: { kind: 'drop' }, where: { slots: ['s0'] } }] : []),
]

/** A slot of the first one's exercise that reads it: its top set today, or what it has moved this week. */
function readerOf(dice: Dice, { slot, progressions }: MadeSlot, phases: { id: string }[]): MadeSlot {
  // What sets for as many reps as possible will move nobody knows before they are done.
  const isOpen = JSON.stringify(progressions).includes('standingRecords')
  const load = dice.among<object>([
    { of: 'topSet', percent: 80, slot: 's0' },
    { of: 'topSet', drop: { kg: 20, lb: 40 }, slot: 's0' },
    isOpen ? { of: 'topSet', percent: 90, slot: 's0' } : { of: 'tonnage', times: 0.5, per: 'week' },
    { of: 'lastTime', percent: 90 },
  ])
  const prescribed = { sets: 1 + dice.upTo(3), goal: { reps: 1 + dice.upTo(7) }, load }
  const rows = Object.fromEntries(phases.map(({ id }) => [id, [[prescribed]]]))
  return { id: 'r', slot: { exercise: slot.exercise, rows }, progressions: {} }
}

/** A second slot on the first one's progression: at the whole load, or at a percentage of it. Null where it has no load of one. */
function sharerOf(dice: Dice, { slot, progressions }: MadeSlot): MadeSlot | null {
  const [rule] = Object.values(progressions as Record<string, { stages: { rule: RuleKind }[] }>).flatMap(
    ({ stages }) => stages.map((stage) => stage.rule),
  )
  if (!rule || !ruleOf[rule].writes.includes('load') || ruleOf[rule].carriedBy) return null
  const load = { of: 'progression', ...(dice.maybe() && { percent: 80 }) }
  const rows = Object.fromEntries(
    Object.keys(slot.rows as object).map((phase) => [phase, [[{ sets: 2, goal: { reps: 5 }, load }]]]),
  )
  const uses = (slot.uses as object[]).map((use) => ({ ...use, ...(dice.maybe(0.2) && { full: true }) }))
  return { id: 'again', slot: { exercise: slot.exercise, uses, rows }, progressions: {} }
}

type MadeSlot = { id: string; slot: Record<string, unknown>; progressions: Record<string, unknown> }

function slotOf(dice: Dice, id: string, phases: string[]): MadeSlot {
  const rows = (prescriptions: object[]) =>
    Object.fromEntries(phases.map((phase) => [phase, [prescriptions]]))
  if (dice.maybe(0.3)) {
    const load = dice.among<object>([
      { of: 'max', percent: 50 + dice.upTo(50) },
      { of: 'max', percent: 50 + dice.upTo(20), to: 71 + dice.upTo(29) },
      { of: 'trainingMax', percent: 50 + dice.upTo(50) },
      { of: 'repMax', reps: 5, percent: 90 },
      { of: 'effort' },
      { of: 'lastTime' },
      { of: 'free' },
    ])
    const prescribed = { sets: 1 + dice.upTo(4), goal: { reps: 1 + dice.upTo(11) }, load, rir: dice.upTo(4) }
    const exercise = dice.among([...bars, ...others])
    const front = [{ exercise: 'frontSquat' }]
    const turns = dice.maybe(0.3)
      ? { rotation: { with: front, by: dice.among(['week', 'exposure']), every: 1 } }
      : exercise !== 'frontSquat' && dice.maybe(0.3) && { choices: front }
    return {
      id,
      slot: { exercise, ...turns, rows: rows([prescribed]) },
      progressions: {},
    }
  }
  const rule = dice.among(ruleKinds)
  const { prescriptions, exercise } = carrierOf(dice, rule)
  const progression = `${id}-p`
  const made = progressionOf(dice, rule, phases)
  const stage = { stage: 'two', rows: [[{ ...loaded, sets: 4 }], [{ ...loaded, goal: { reps: 3 } }]] }
  return {
    id,
    slot: {
      exercise,
      ...(made.stages.length > 1 && dice.maybe() && { inStages: [stage] }),
      uses: [
        {
          progression,
          role: sampleRole(rule),
        },
      ],
      rows: rows(prescriptions),
    },
    progressions: { [progression]: made },
  }
}

/** Sets of a slot in a later stage. */
const loaded = { sets: 2, goal: { reps: 5 }, load: { of: 'progression' } }

function progressionOf(dice: Dice, rule: RuleKind, phases: string[]): { stages: object[] } {
  const params = withPolicies(dice, rule, dice.among(ruleOf[rule].examples).params)
  const kin = (other: RuleKind) =>
    ruleOf[other].writes.includes('load') && !ruleOf[other].carriedBy && ruleOf[other].roles.includes('main')
  const others = ruleKinds.filter(kin)
  const isKin = kin(rule)
  const next = dice.among(others)
  const sign = dice.among(triggerKinds)
  const until = { trigger: sign, ...dice.among(triggerOf[sign].examples).params }
  const two = isKin && dice.maybe(0.3)
  const own = { id: 'one', rule, params, ...(dice.maybe(0.2) && { waits: 'technique' }) }
  const stages = two
    ? [
        { ...own, until, ...(dice.maybe() && { offers: true }) },
        { id: 'two', rule: next, params: dice.among(ruleOf[next].examples).params },
      ]
    : [own]
  const third = dice.among(others.filter((one) => one !== rule && one !== next))
  const inPhases = isKin &&
    dice.maybe(0.2) && {
      inPhases: [{ phase: phases[0], rule: third, params: dice.among(ruleOf[third].examples).params }],
    }
  return { stages, ...inPhases }
}

/** Parameters with policies that few examples have: a cut from the max, hits that a step takes. */
function withPolicies(dice: Dice, rule: RuleKind, params: object): object {
  const isSteady = ['linear', 'amrapSet', 'doubleProgression', 'stepBand'].includes(rule)
  const canReset = isSteady && 'startPercent' in params && !('onStall' in params)
  return {
    ...params,
    ...(canReset && dice.maybe() && { resetFrom: 'max' }),
    ...(rule === 'linear' && dice.maybe(0.3) && { hits: 2 }),
  }
}

/** A slot that can carry a rule. */
function carrierOf(dice: Dice, rule: RuleKind): { prescriptions: object[]; exercise: ExerciseId } {
  const sample = sampleGroup(rule)
  const isPlain = !ruleOf[rule].carriedBy
  const goal = isPlain && dice.maybe() ? { reps: { from: 6, to: 10 } } : sample.goal
  const load =
    sample.load.of === 'free' && dice.maybe() && 'reps' in goal ? { of: 'max', percent: 70 } : sample.load
  return {
    exercise: dice.among(rule === 'earnedLoad' ? [...bars, ...others] : bars),
    prescriptions: [
      {
        sets: isPlain ? 1 + dice.upTo(3) : sample.sets,
        ...(sample.least !== undefined && { least: sample.least }),
        goal,
        load,
      },
    ],
  }
}

function memberOf(dice: Dice, slots: [string, { exercise: ExerciseId }][], perWeek: number): Member {
  const unit = dice.among<Unit>(['kg', 'lb'])
  const dated = (id: string, day = 0) => ({
    id,
    rev: 1,
    date: addDays(start, day),
    actsFrom: addDays(start, day),
  })
  const facts: Fact[] = [{ ...dated('unit'), kind: 'unit', unit }]
  if (dice.maybe(0.9))
    facts.push({ ...dated('body'), kind: 'bodyWeight', load: { value: 50 + dice.upTo(70), unit: 'kg' } })
  for (const exercise of new Set([...slots.map(([, slot]) => slot.exercise), 'frontSquat' as const]))
    if (dice.maybe(0.9))
      facts.push({
        ...dated(`max-${exercise}`, dice.upTo(5)),
        kind: 'max',
        exercise,
        load: { value: 20 + dice.upTo(200), unit: dice.among<Unit>(['kg', 'lb']) },
        reps: 1 + dice.upTo(5),
        how: 'tested',
      })
  if (dice.maybe(0.3))
    facts.push({
      ...dated('deload', dice.upTo(20)),
      kind: 'deload',
      changes: [{ kind: 'scaleLoad', by: -20 }],
      shift: dice.maybe(),
      weeks: 1 + dice.upTo(1),
      back: dice.maybe() ? [-10] : [],
    })
  if (dice.maybe(0.2))
    facts.push({
      ...dated('mostSets'),
      kind: 'mostSets',
      muscle: dice.among(muscles),
      sets: 4 + dice.upTo(10),
    })
  if (dice.maybe(0.2))
    facts.push({
      ...dated('choice', dice.upTo(20)),
      kind: 'choice',
      enrolment: 'e',
      slot: 's0',
      exercise: 'frontSquat',
    })
  if (dice.maybe(0.2)) {
    const day = dice.upTo(30)
    const back = dice.among([null, 0, -10])
    const to = dice.maybe() ? addDays(start, day + 1 + dice.upTo(14)) : null
    facts.push({
      ...dated('pause', day),
      kind: 'pause',
      reason: 'travel',
      ...(to !== null && { to }),
      ...(back !== null && { back }),
    })
    if (dice.maybe()) facts.push({ ...dated('resume', day + 3), kind: 'resume', pause: 'pause' })
  }
  if (dice.maybe(0.2))
    facts.push({
      ...dated('track', dice.upTo(30)),
      kind: 'track',
      enrolment: 'e',
      track: dice.maybe() ? 't' : null,
    })
  if (dice.maybe(0.3))
    facts.push({ ...dated('handover', 14), kind: 'handover', progression: 's0-p', stage: 'two' })
  const logs = Array.from({ length: dice.upTo(8) }, (_, i) => logOf(dice, slots, i, unit, perWeek))
  return { facts, logs }
}

/** A session as it may be logged on paper: at its place or another, whole or in parts, with nonsense among it. */
function logOf(
  dice: Dice,
  slots: [string, { exercise: ExerciseId }][],
  i: number,
  unit: Unit,
  perWeek: number,
): SessionLog {
  const position = dice.maybe(0.9) ? i + 1 : 1 + dice.upTo(12)
  const id = `e:${position}:1`
  const [week, day] = [Math.ceil(position / perWeek), 1 + ((position - 1) % perWeek)]
  const isNamed = dice.maybe(0.3)
  return {
    id,
    rev: 1 + dice.upTo(1),
    change: String(dice.upTo(9)),
    date: addDays(start, Math.floor((7 * i) / perWeek) + dice.upTo(2)),
    enrolment: dice.maybe(0.95) ? 'e' : 'gone',
    position: isNamed ? 0 : position,
    ...(isNamed && { at: { phase: dice.among(['p0', 'p0', 'p1']), week, day } }),
    attempt: 1,
    ordinal: 1,
    ...(dice.maybe(0.3) && { minute: dice.upTo(1439) }),
    closed: dice.maybe(0.9),
    sets: slots.flatMap(([slot, { exercise }]) =>
      Array.from({ length: dice.upTo(5) }, (_, n): SetLog => ({
        id: `${id}:${slot}:${n + 1}`,
        rev: 1,
        slot,
        n: n + 1,
        exercise: dice.maybe(0.95) ? exercise : dice.among(bars),
        state: dice.among(['done', 'done', 'done', 'failed', 'notDone']),
        ...(dice.maybe(0.9) && { load: { value: dice.among([0.5, 20, 42.5, 60, 97.5, 140, 500]), unit } }),
        ...(dice.maybe(0.95) && { reps: dice.among([0, 1, 3, 5, 5, 8, 12, 60]) }),
        ...(dice.maybe(0.3) && { rir: dice.upTo(5) }),
        ...(dice.maybe(0.2) && { technique: dice.among(['good', 'poor'] as const) }),
        ...(dice.maybe(0.1) && {
          amount: { value: dice.upTo(600), unit: dice.among(['s', 'm', 'rounds'] as const) },
        }),
        ...(dice.maybe(0.05) && { pain: true as const }),
        ...(dice.maybe(0.05) && { assisted: 1 + dice.upTo(2) }),
        ...(dice.maybe(0.05) && { partial: true as const }),
        ...(dice.maybe(0.05) && { bands: 'one red' }),
      })),
    ),
    ...(dice.maybe(0.3) && {
      answers: {
        hard: dice.upTo(10),
        worked: { quads: dice.among(['hardly', 'well', 'too much'] as const) },
        sore: { chest: 'still' as const },
      },
    }),
  }
}
