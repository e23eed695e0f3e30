import { mixed, string } from 'yup'
import {
  choiceField,
  dayField,
  exerciseField,
  idField,
  laterField,
  listField,
  numberField,
  percentField,
  spanField,
  stepField,
  strictObject,
  textField,
  trueField,
  wholeField,
} from '../../parsing/index.ts'
import { muscles } from '../../library/index.ts'
import { repTables } from '../../maxes/index.ts'
import { trainingAges } from '../../adjustments/index.ts'
import { ways } from '../../units/index.ts'
import {
  fixable,
  setKinds,
  missedPolicies,
  rowClocks,
  setStyles,
  rotationClocks,
  deloadPolicies,
  type RirRamp,
} from '../types.ts'
import { isRamp } from '../rirRamp.ts'

/**
 * The pieces of template format 2. The reader checks a file against them piece by piece, the JSON Schema is assembled
 * from the same ones. What is `laterField` here is a piece of its own.
 */
export const limits = {
  weeks: 60,
  rotation: 12,
  days: 14,
  slots: 24,
  sections: 8,
  sets: 30,
  prescriptions: 12,
  phases: 24,
  deload: 20,
  tracks: 12,
  changes: 60,
  stages: 8,
  entries: 400,
  exercises: 500,
}

const liftField = () =>
  strictObject({ exercise: exerciseField().required(), variant: textField('a variant', 60) })
    .default(undefined)
    .meta({ expected: 'a lift like {"exercise": "backSquat", "variant": "paused"}' })

const tempoField = () =>
  string()
    .strict()
    .matches(/^[0-9X]{4}$/)
    .meta({
      expected: 'a tempo of four digits like 31X0: lowering, pause, lifting, pause; X as fast as possible',
    })

/** RIR, or how it falls. */
const rirField = () =>
  mixed<number | RirRamp>((value): value is number | RirRamp => isRir(value) || isRamp(value)).meta({
    expected: 'RIR, a whole number from 0 to 10, or a ramp that falls like {"from": 3, "to": 0}',
    json: {
      oneOf: [
        { type: 'integer', minimum: 0, maximum: 10 },
        {
          type: 'object',
          properties: {
            from: { type: 'integer', minimum: 1, maximum: 10 },
            to: { type: 'integer', minimum: 0, maximum: 9 },
            weeks: { type: 'integer', minimum: 2, maximum: 60 },
            after: { type: 'integer', minimum: 1, maximum: 59 },
          },
          required: ['from', 'to'],
          additionalProperties: false,
        },
      ],
    },
  })

const isRir = (value: unknown): boolean =>
  Number.isInteger(value) && (value as number) >= 0 && (value as number) <= 10

/** What a prescription may inherit. */
const inherited = {
  rir: rirField(),
  rest: spanField('seconds of rest', 1800, 0, { from: 120, to: 180 }),
  tempo: tempoField(),
}

const defaultsField = () =>
  strictObject(inherited)
    .default(undefined)
    .meta({ expected: 'what slots inherit, like {"rir": 2, "rest": 180, "tempo": "31X0"}' })

const layoutField = () =>
  strictObject({
    rest: listField('sessions of the rotation that a day of rest comes after, from 1', 36).of(
      wholeField('a session of the rotation, from 1', 1, limits.rotation).required(),
    ),
    running: wholeField('the most days in a row', 1, 6),
    weekdays: listField('weekdays, 1 for Monday to 7 for Sunday', limits.days).of(
      wholeField('a weekday, 1 for Monday to 7 for Sunday', 1, 7).required(),
    ),
    sameDay: listField('sessions that have the next one on their own day', 7).of(
      strictObject({
        first: wholeField('a session of the week, from 1', 1, limits.days - 1).required(),
        hours: wholeField('hours between the two', 1, 16).required(),
      }),
    ),
  })
    .default(undefined)
    .meta({ expected: 'days like {"weekdays": [1, 3, 5]} or {"rest": [2, 3], "running": 2}' })

export const headShape = strictObject({
  format: mixed<2>((value): value is 2 => value === 2)
    .required()
    .meta({ expected: 'the number 2, or 1', json: { const: 2 } }),
  name: textField('the name of the template', 120).required(),
  note: textField('a note', 4000),
  trainingMax: numberField('percent of the 1RM, 50 to 100', 50, 100),
  maxes: strictObject({
    use: choiceField(['newest', 'best']).required(),
    weeks: wholeField('weeks that the best is looked for in', 1, 104),
    table: choiceField(repTables),
    ratios: listField('lifts tied to another’s max', 60, 0).of(
      strictObject({
        lift: liftField().required(),
        of: liftField().required(),
        percent: percentField().required(),
      }),
    ),
    fresh: wholeField('weeks after which a max is too old to trust', 1, 104),
  })
    .default(undefined)
    .test('fits', '"weeks" with "best" and only with it', (maxes) =>
      maxes === undefined ? true : (maxes.use === 'best') === (maxes.weeks !== undefined),
    )
    .meta({ expected: 'which max percentages use' }),
  missed: choiceField(missedPolicies),
  away: strictObject({
    weeks: wholeField('weeks without a session', 1, 52).required(),
    back: numberField('percent of the load in the first week back, -50 to -1', -50, -1).required(),
  })
    .default(undefined)
    .meta({ expected: 'what a member comes back to' }),
  rounding: choiceField(ways),
  deloadRounding: choiceField(ways),
  testRounding: choiceField(ways),
  deloadPolicy: choiceField(deloadPolicies),
  tempoX: numberField('seconds of an X in a tempo, 0.2 to 5', 0.2, 5),
  warmUp: laterField('a warm-up like {"kind": "fewSets", "sets": 2}'),
  phases: listField('phases', limits.phases).required(),
  later: listField('phases that are still to be written', limits.phases).of(
    strictObject({
      name: textField('the phase’s name', 80).required(),
      weeks: wholeField('weeks, where they are known', 1, limits.weeks),
    }),
  ),
  sessions: laterField('sessions by id').required(),
  slots: laterField('slots by id').required(),
  progressions: laterField('progressions by id'),
  tracks: laterField('tracks by id'),
  exercises: laterField('exercises of the gym by id, those that it names'),
})

export const phaseShape = strictObject({
  id: idField('the phase’s id').required(),
  name: textField('the phase’s name', 80).required(),
  weeks: laterField('a number of weeks, or {"least", "most", "until"}').required(),
  rotation: listField('session ids in their order', limits.rotation).of(idField()).required(),
  perWeek: wholeField('sessions a week', 1, 14).required(),
  deloads: listField('deload adjustments', limits.deload, 0),
  ends: choiceField(['test day']),
  defaults: defaultsField(),
  layout: layoutField(),
})

export const weeksField = () => wholeField('weeks', 1, limits.weeks).required()

export const untilShape = strictObject({
  least: wholeField('the least weeks', 1, limits.weeks).required(),
  most: wholeField('the most weeks', 1, limits.weeks).required(),
  until: laterField('a trigger and the progression that it watches').required(),
}).test('fits', '"most" at least as many as "least"', ({ least, most }) => most >= least)

export const trackShape = strictObject({
  name: textField('the track’s name', 60).required(),
  changes: listField('changes', limits.changes, 0).required(),
})

export const adjustmentShape = strictObject({
  id: idField('the adjustment’s id').required(),
  do: laterField('a change').required(),
  where: laterField('where it acts').required(),
})

export const whereShape = strictObject({
  phases: listField('phase ids', limits.phases).of(idField()),
  toTest: listField('weeks to the test day', limits.weeks).of(
    wholeField('weeks to the test day', 0, limits.weeks),
  ),
  days: strictObject({ from: dayField().required(), to: dayField().required() })
    .default(undefined)
    .meta({ expected: 'days like {"from": "2026-03-02", "to": "2026-03-08"}' }),
  muscles: listField('muscles, by the muscle worked most', muscles.length).of(choiceField(muscles)),
  weeks: listField('weeks of the phase', limits.weeks).of(wholeField('a week of the phase', 1, limits.weeks)),
  inWeek: listField('days of the week, from 1', limits.days).of(
    wholeField('a day of the week, from 1', 1, limits.days).required(),
  ),
  tracks: listField('track ids, or none', limits.tracks + 1).of(idField().required()),
  training: listField('training ages', 4).of(choiceField([...trainingAges, 'untold'] as const).required()),
  sessions: listField('session ids', 50).of(idField()),
  slots: listField('slot ids', 200).of(idField()),
  lifts: listField('lifts', 50).of(liftField()),
})

export const sessionShape = strictObject({
  name: textField('the session’s name', 80).required(),
  sections: listField('sections', limits.sections).required(),
  defaults: defaultsField(),
})

export const sectionShape = strictObject({
  name: textField('the section’s name', 60).required(),
  minutes: wholeField('minutes', 1, 240),
  slots: listField('slot ids in order', limits.slots, 0).of(idField()).required(),
  rotation: strictObject({
    by: choiceField(['week', 'day']).required(),
    every: wholeField('weeks, or days, between changes', 1, 26).required(),
  })
    .default(undefined)
    .meta({ expected: 'a rotation of its slots like {"by": "week", "every": 3}' }),
})

const roleField = () =>
  mixed<string | { byDay: string[] }>(isRole).meta({
    expected: 'a role, or {"byDay": [role, …]}',
    json: {
      oneOf: [
        { type: 'string' },
        {
          type: 'object',
          properties: { byDay: { type: 'array', minItems: 1, items: { type: 'string' } } },
          required: ['byDay'],
          additionalProperties: false,
        },
      ],
    },
  })

export const slotStageShape = strictObject({
  stage: idField('a stage of the slot’s progression').required(),
  role: roleField(),
  rows: laterField('one row, or one for each day of the week').required(),
})

export const slotShape = strictObject({
  exercise: exerciseField().required(),
  variant: textField('a variant', 60),
  superset: textField('the letter of a superset', 2),
  note: textField('a note', 500),
  uses: listField('progressions that the slot uses', 4, 0).of(
    strictObject({
      progression: idField('a progression’s id').required(),
      role: roleField(),
      full: trueField('true, for a full exposure at a percentage below another slot’s'),
    }),
  ),
  rotation: strictObject({
    with: listField('lifts that alternate with the slot’s own', 6).of(liftField().required()).required(),
    by: choiceField(rotationClocks).required(),
    every: wholeField('weeks, days, phases or exposures between changes', 1, 26).required(),
  })
    .default(undefined)
    .meta({ expected: 'a rotation like {"with": [{"exercise": "frontSquat"}], "by": "week", "every": 3}' }),
  choices: listField('lifts that may be chosen in place of the slot’s own', 8).of(liftField().required()),
  by: choiceField(rowClocks),
  circuit: strictObject({
    name: textField('the circuit’s name', 80).required(),
    by: choiceField(['time', 'rounds']).required(),
    rounds: wholeField('rounds', 1, 100),
    capSeconds: wholeField('seconds at most', 30, 7200),
  })
    .default(undefined)
    .test(
      'fits',
      'rounds where it is scored by time, seconds at most where it is scored by rounds',
      (circuit) =>
        circuit === undefined
          ? true
          : (circuit.by === 'time' ? circuit.rounds : circuit.capSeconds) !== undefined,
    )
    .meta({ expected: 'a circuit like {"name": "Dock", "by": "time", "rounds": 5}' }),
  capStep: stepField(50),
  counts: strictObject(
    Object.fromEntries(muscles.map((muscle) => [muscle, numberField('what a set counts, 0 to 1', 0, 1)])),
  )
    .default(undefined)
    .meta({ expected: 'what a set counts for a muscle, like {"triceps": 1}' }),
  warmUp: laterField('a warm-up, or "none"'),
  rows: laterField('rows by phase id').required(),
  inStages: listField('sets in stages of its progression', limits.stages).of(slotStageShape),
})

export const setPrescriptionShape = strictObject({
  id: idField('the id of the sets, the same in every week'),
  sets: wholeField('sets', 1, limits.sets).required(),
  lift: liftField(),
  goal: laterField('a goal like {"reps": 5}').required(),
  load: laterField('a load basis like {"of": "max", "percent": 75}').required(),
  kind: choiceField(setKinds),
  over: trueField('true, where more than the 1RM is meant'),
  ...inherited,
  fixed: listField('what stays as written where a progression would write its own', fixable.length).of(
    choiceField(fixable).required(),
  ),
  roundRest: wholeField('seconds of rest after the round', 0, 1800),
  perSide: trueField('true, for reps of each side'),
  option: strictObject({
    percent: wholeField('percent of the reps', 10, 100).required(),
    say: textField('the other way of doing it', 60).required(),
  })
    .default(undefined)
    .meta({ expected: 'another way like {"percent": 50, "say": "in a 10 kg vest"}' }),
  style: choiceField(setStyles),
  bands: textField('bands or chains, by name and number', 60),
  least: wholeField('the fewest sets, where not all have to be done', 1, limits.sets),
  stop: textField('the trigger that ends the sets', 80),
}).test('fits', 'no more "least" than sets, and with "stop" a "least"', ({ sets, least, stop }) =>
  least === undefined ? stop === undefined : least <= sets,
)

export const phaseRuleShape = strictObject({
  phase: idField('a phase').required(),
  rule: laterField('a rule').required(),
  params: laterField('the rule’s parameters').required(),
})

export const progressionShape = strictObject({
  stages: listField('stages', limits.stages).required(),
  inPhases: listField('rules of single phases', limits.phases).of(phaseRuleShape),
})

export const stageShape = strictObject({
  id: idField('the stage’s id').required(),
  rule: laterField('a rule').required(),
  params: laterField('the rule’s parameters').required(),
  until: laterField('the trigger that hands the lift over to the next stage'),
  offers: trueField(
    'true, where the trigger offers the next stage and does not hand the lift over by itself',
  ),
  waits: choiceField(['technique']),
})

function isRole(value: unknown): value is string | { byDay: string[] } {
  if (typeof value === 'string') return value.length > 0
  const { byDay, ...rest } = (value ?? {}) as { byDay?: unknown }
  return (
    Array.isArray(byDay) &&
    byDay.length > 0 &&
    byDay.every((role) => typeof role === 'string') &&
    !Object.keys(rest).length
  )
}
