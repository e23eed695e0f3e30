import { array, boolean, mixed, number, object, string, type ObjectShape } from 'yup'
import { exerciseIds, isExercise, ownIdPattern, type ExerciseId, type Library } from '../library/index.ts'
import { idLength, isId } from './id.ts'
import { isDay, type Rise, type Span } from '../units/index.ts'

/**
 * The fields that files are made of. Each says in `expected` what it takes: errors quote it, and the JSON Schema and the
 * reference are generated from the same description.
 */
export const strictObject = <S extends ObjectShape>(shape: S) => object(shape).noUnknown().strict()

export const numberField = (expected: string, from: number, to: number) =>
  number().strict().min(from).max(to).meta({ expected })

export const wholeField = (what: string, from: number, to: number) =>
  numberField(`${what}, a whole number from ${from} to ${to}`, from, to).integer()

/** Above 0, at most 150: lowering-only work may pass 100. */
export const percentField = () =>
  number().strict().moreThan(0).max(150).meta({ expected: 'a percent above 0, at most 150' })

/** How much a cut takes off, in percent. */
export const percentOffField = () =>
  number().strict().min(1).max(50).meta({ expected: 'a percent from 1 to 50' })

export const idField = (what = 'an id', most: number = idLength.minted) =>
  string()
    .strict()
    .test('id', (value) => value === undefined || value === null || isId(value, most))
    .meta({
      expected: `${what}: 1 to ${most} letters, digits and - _ . :`,
      json: { type: 'string', pattern: `^[\\w.:-]{1,${most}}$` },
    })

/** The id of an entry, which may be made of the ids of what it names. */
export const entryIdField = (what = 'an id') => idField(what, idLength.made)

export const textField = (what: string, most = 200) =>
  string()
    .strict()
    .trim()
    .min(1)
    .max(most)
    .meta({ expected: `${what}, 1 to ${most} characters` })

export const choiceField = <const T extends string>(choices: readonly T[]) =>
  string()
    .strict()
    .oneOf(choices)
    .meta({ expected: `one of ${choices.join(', ')}` })

/** A mark that is there or not. */
export const trueField = (expected: string) => boolean().strict().oneOf([true]).meta({ expected })

export const dayField = () =>
  string()
    .strict()
    .test('day', (value) => value === undefined || isDay(value))
    .meta({ expected: 'a day like 2026-03-02', json: { type: 'string', format: 'date' } })

export const exerciseField = () =>
  mixed<ExerciseId>()
    .test('exercise', (value, { options }) => {
      const { library = {} } = (options.context ?? {}) as { library?: Library }
      return value === undefined || isExercise(library, value)
    })
    .meta({
      expected: 'an exercise of the library, or of the gym’s own where the file declares it',
      json: { anyOf: [{ enum: exerciseIds }, { type: 'string', pattern: ownIdPattern.source }] },
    })

/** A load on the bar: above 0, at most 1,000, in kg or lb; from 0 where it goes on top of body weight. */
export const loadField = (from?: 0) =>
  strictObject({
    value: (from === 0 ? number().strict().min(0) : number().strict().moreThan(0))
      .max(1000)
      .required()
      .meta({ expected: from === 0 ? 'a load from 0 to 1000' : 'a load above 0, at most 1000' }),
    unit: choiceField(['kg', 'lb']).required(),
  })
    .default(undefined)
    .meta({ expected: 'a load like {"value": 60, "unit": "kg"}' })

/** A step in both units, each above 0 and at most `most`. */
export const stepField = (most = 1000) => {
  const amount = () =>
    number()
      .strict()
      .moreThan(0)
      .max(most)
      .required()
      .meta({ expected: `a number above 0, at most ${most}` })
  return strictObject({ kg: amount(), lb: amount() })
    .default(undefined)
    .meta({ expected: 'a step in both units, like {"kg": 2.5, "lb": 5}' })
}

/** A step in both units, with a smaller one for small lifts where it is stated; or a percent of the load, up to 20. */
export const riseField = () =>
  mixed<Rise>(isRise).meta({
    expected:
      'a step above 0 in both units, at most 50, like {"kg": 5, "lb": 10, "small": {"kg": 2.5, "lb": 5}}, or {"percent": 2.5}, at most 20',
    parts: ['kg', 'lb', 'small.kg', 'small.lb', 'percent'],
    json: {
      oneOf: [
        {
          type: 'object',
          properties: {
            ...stepJson.properties,
            small: { type: 'object', ...stepJson, required: ['kg', 'lb'], additionalProperties: false },
          },
          required: ['kg', 'lb'],
          additionalProperties: false,
        },
        {
          type: 'object',
          properties: { percent: { type: 'number', exclusiveMinimum: 0, maximum: 20 } },
          required: ['percent'],
          additionalProperties: false,
        },
      ],
    },
  })

const amountJson = { type: 'number', exclusiveMinimum: 0, maximum: 50 }
const stepJson = { properties: { kg: amountJson, lb: amountJson } }

export function isRise(value: unknown): value is Rise {
  if (typeof value !== 'object' || value === null) return false
  const { small, ...rest } = value as { small?: unknown }
  if (isOnly(rest, ['percent'], 20)) return small === undefined
  const isStep = (one: unknown) => isOnly(one, ['kg', 'lb'], 50)
  return isStep(rest) && (small === undefined || isStep(small))
}

/** Whether a value has these keys and no others, each a number above 0 and at most `most`. */
function isOnly(value: unknown, keys: string[], most: number): boolean {
  if (typeof value !== 'object' || value === null) return false
  const entries = Object.entries(value)
  const fits = (n: unknown) => typeof n === 'number' && n > 0 && n <= most
  return entries.length === keys.length && entries.every(([key, n]) => keys.includes(key) && fits(n))
}

/** One number, or any from one to another, whole, from `least` (1 where nothing is stated) to `most`; with a span of it as it is written. */
export const spanField = (what: string, most: number, least = 1, example = { from: 8, to: 10 }) =>
  mixed<Span>((value): value is Span => isSpan(value, least, most)).meta({
    expected: `${what} from ${least} to ${most}, or {"from": ${example.from}, "to": ${example.to}}`,
    json: {
      oneOf: [
        { type: 'integer', minimum: least, maximum: most },
        {
          type: 'object',
          properties: { from: { type: 'integer', minimum: least }, to: { type: 'integer', maximum: most } },
          required: ['from', 'to'],
          additionalProperties: false,
        },
      ],
    },
  })

function isSpan(value: unknown, least: number, most: number): boolean {
  const isCount = (n: unknown) => Number.isInteger(n) && (n as number) >= least && (n as number) <= most
  if (isCount(value)) return true
  if (typeof value !== 'object' || value === null) return false
  const { from, to, ...rest } = value as { from?: number; to?: number }
  return isCount(from) && isCount(to) && (from as number) < (to as number) && !Object.keys(rest).length
}

export const listField = (what: string, most: number, least = 1) =>
  array()
    .strict()
    .min(least)
    .max(most)
    .meta({ expected: `${what}, a list of ${least} to ${most}` })

/** Anything here: it is read piece by piece afterwards. */
export const laterField = (expected: string, json: object = {}) => mixed<object>().meta({ expected, json })
