import { array, boolean, mixed, number, object, string, ValidationError, type AnySchema } from 'yup'
import { isDay, type Day } from '@young-oak/core/units'

/** A schema of answers of one type: what it lets through has every key that the type has, and no other. */
export type Reads<T> = AnySchema & { readonly reads?: T }
/** One that may be left out. */
type Left<T> = Reads<T> & { readonly isLeft: true }

type Fields<T> = { [K in keyof T]-?: undefined extends T[K] ? Left<Exclude<T[K], undefined>> : Reads<T[K]> }

/** What the reference says of a schema. */
export type Outline =
  | string
  | { name?: string; keys: Record<string, { outline: Outline; isLeft: boolean }> }
  | { listOf: Outline }
  | { byKey: Outline }
  | { oneOf: Outline[] }

const told = <T>(schema: AnySchema, outline: Outline): Reads<T> => schema.meta({ outline })
export const outlineOf = (schema: AnySchema): Outline =>
  (schema.spec.meta as { outline?: Outline } | undefined)?.outline ?? schema.type

/** An object with these keys alone. One with a name has a place of its own in the reference. */
export function exact<T extends object>(fields: Fields<T>, name?: string): Reads<T> {
  const keys = Object.fromEntries(
    Object.entries<AnySchema>(fields).map(([key, schema]) => [
      key,
      { outline: outlineOf(schema), isLeft: schema.spec.optional },
    ]),
  )
  const shape = object(fields as Record<string, AnySchema>)
  return told(shape.noUnknown().strict().default(undefined).required(), { ...(name && { name }), keys })
}

/** A key that may be left out. */
export const left = <T>(schema: Reads<T>): Left<T> =>
  Object.assign(schema.optional(), { isLeft: true as const })
export const orNull = <T>(schema: Reads<T>): Reads<T | null> =>
  told(schema.nullable().defined(), { oneOf: [outlineOf(schema), 'null'] })

export const list = <T>(of: Reads<T>): Reads<T[]> =>
  told(array().of(of).strict().required(), { listOf: outlineOf(of) })
/** A list of which nothing is said but that it has two ends. */
export const pair = <T>(of: Reads<T>): Reads<[T, T]> =>
  told(array().of(of).length(2).strict().required(), { listOf: outlineOf(of) })

export const text = (): Reads<string> => told(string().strict().defined(), 'text')
export const count = (): Reads<number> => told(number().strict().integer().required(), 'whole number')
export const figure = (): Reads<number> => told(number().strict().required(), 'number')
export const yesOrNo = (): Reads<boolean> => told(boolean().strict().required(), 'true or false')
export const isTrue = (): Reads<true> => told(boolean().strict().oneOf([true]).required(), 'true')
export const date = (): Reads<Day> =>
  told(
    string()
      .strict()
      .required()
      .test({ name: 'day', skipAbsent: true, test: (value) => isDay(value) }),
    'day',
  )
export const choice = <const T extends string>(...choices: readonly T[]): Reads<T> =>
  told(string().strict().oneOf(choices).required(), choices.map((one) => `"${one}"`).join(' or '))
export const exactly = <const T extends number>(value: T): Reads<T> =>
  told(number().strict().oneOf([value]).required(), String(value))

/** What a function of the core says of a value: its faults, or none. */
export const readBy = <T>(
  what: string,
  faults: (value: unknown, context: object) => string | null,
): Reads<T> =>
  told(
    mixed()
      .required()
      .test({
        name: 'read',
        skipAbsent: true,
        test: (value, { createError, path, options }) => {
          const message = faults(value, options.context ?? {})
          return message === null || createError({ message: `${path}: ${message}` })
        },
      }),
    what,
  )

/** An object whose keys are ids of something. */
export const byKey = <T>(of: Reads<T>): Reads<Record<string, T>> =>
  told(
    mixed()
      .required()
      .test({
        name: 'byKey',
        skipAbsent: true,
        test: (value, { createError, path, options }) => {
          if (typeof value !== 'object' || value === null || Array.isArray(value))
            return createError({ message: `${path} must be an object by id` })
          for (const [key, one] of Object.entries(value)) {
            const fault = faultIn(of, one, options.context)
            if (fault !== null) return createError({ message: `${path}.${key}: ${fault}` })
          }
          return true
        },
      }),
    { byKey: outlineOf(of) },
  )

/** One of several shapes. */
export const either = <T extends unknown[]>(...shapes: { [K in keyof T]: Reads<T[K]> }): Reads<T[number]> =>
  told(
    mixed()
      .required()
      .test({
        name: 'either',
        skipAbsent: true,
        test: (value, { createError, path, options }) => {
          const faults = (shapes as AnySchema[]).map((one) => faultIn(one, value, options.context))
          return faults.includes(null) || createError({ message: `${path}: ${faults.join(', or ')}` })
        },
      }),
    { oneOf: (shapes as AnySchema[]).map(outlineOf) },
  )

/** What keeps a value from being read by a schema; null where nothing does. */
export function faultIn(schema: AnySchema, value: unknown, context: object = {}): string | null {
  try {
    schema.validateSync(value, { strict: true, context })
    return null
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return error.message
  }
}
