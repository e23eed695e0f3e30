import { mixed } from 'yup'
import {
  choiceField,
  exerciseField,
  idField,
  laterField,
  listField,
  numberField,
  strictObject,
  textField,
  wholeField,
} from '../reading/index.ts'
import type { Span } from './types.ts'

/**
 * The pieces of template format 1. The reader checks a file against them piece by piece, the JSON Schema is assembled
 * from the same ones. What is `laterField` here is a piece of its own.
 */
export const limits = {
  weeks: 60,
  rotation: 12,
  slots: 24,
  sets: 30,
  groups: 12,
  phases: 24,
  light: 20,
  entries: 400,
}

export const headShape = strictObject({
  format: mixed<1>((value): value is 1 => value === 1)
    .required()
    .meta({ expected: 'the number 1', json: { const: 1 } }),
  name: textField('the name of the template', 120).required(),
  note: textField('a note', 4000),
  trainingMax: numberField('percent of the 1RM, 50 to 100', 50, 100),
  missed: choiceField(['hold', 'drop']),
  rounding: choiceField(['nearest', 'down', 'up']),
  phases: listField('phases', limits.phases).required(),
  sessions: laterField('sessions by id').required(),
  slots: laterField('slots by id').required(),
  progressions: laterField('progressions by id'),
})

export const phaseShape = strictObject({
  id: idField('the phase’s id').required(),
  name: textField('the phase’s name', 80).required(),
  weeks: wholeField('weeks', 1, limits.weeks).required(),
  rotation: listField('session ids in the order in which they turn', limits.rotation)
    .of(idField())
    .required(),
  perWeek: wholeField('sessions a week', 1, 14).required(),
  light: listField('light-week adjustments', limits.light, 0),
})

export const adjustmentShape = strictObject({
  id: idField('the adjustment’s id').required(),
  do: laterField('a change').required(),
  where: laterField('where it acts').required(),
})

export const whereShape = strictObject({
  weeks: listField('weeks of the phase', limits.weeks).of(wholeField('a week of the phase', 1, limits.weeks)),
  sessions: listField('session ids', 50).of(idField()),
  slots: listField('slot ids', 200).of(idField()),
  lifts: listField('lifts', 50).of(
    strictObject({ exercise: exerciseField().required(), variant: textField('a variant', 60) }),
  ),
})

export const sessionShape = strictObject({
  name: textField('the session’s name', 80).required(),
  parts: listField('parts', 8).required(),
})

export const partShape = strictObject({
  name: textField('the part’s name', 60).required(),
  minutes: wholeField('minutes', 1, 240),
  slots: listField('slot ids in order', limits.slots).of(idField()).required(),
})

export const slotShape = strictObject({
  exercise: exerciseField().required(),
  variant: textField('a variant', 60),
  group: textField('the letter of a superset', 2),
  note: textField('a note', 500),
  follows: strictObject({
    progression: idField('a progression’s id').required(),
    role: textField('a role of its rule', 40),
  })
    .default(undefined)
    .meta({ expected: 'a progression and a role' }),
  by: choiceField(['week']),
  rows: laterField('rows by phase id').required(),
})

export const spanField = () =>
  mixed<Span>((value): value is Span => isSpan(value)).meta({
    expected: 'reps from 1 to 100, or {"from": 8, "to": 10}',
    json: {
      oneOf: [
        { type: 'integer', minimum: 1, maximum: 100 },
        {
          type: 'object',
          properties: { from: { type: 'integer', minimum: 1 }, to: { type: 'integer', maximum: 100 } },
          required: ['from', 'to'],
          additionalProperties: false,
        },
      ],
    },
  })

export const setGroupShape = strictObject({
  id: idField('the group’s id, the same in every week'),
  sets: wholeField('sets', 1, limits.sets).required(),
  goal: strictObject({ reps: spanField().required(), plus: choiceField(['last']) })
    .default(undefined)
    .required()
    .meta({ expected: 'a goal like {"reps": 5}' }),
  load: laterField('a load basis like {"of": "max", "percent": 75}').required(),
  rir: wholeField('reps in reserve', 0, 10),
  rest: wholeField('seconds of rest', 0, 1800),
})

export const progressionShape = strictObject({ stages: listField('stages', 1).required() })

export const stageShape = strictObject({
  id: idField('the stage’s id').required(),
  rule: laterField('a rule').required(),
  params: laterField('the rule’s parameters').required(),
})

function isSpan(value: unknown): boolean {
  const isCount = (n: unknown) => Number.isInteger(n) && (n as number) >= 1 && (n as number) <= 100
  if (isCount(value)) return true
  if (typeof value !== 'object' || value === null) return false
  const { from, to, ...rest } = value as { from?: number; to?: number }
  return isCount(from) && isCount(to) && (from as number) < (to as number) && !Object.keys(rest).length
}
