import type { AnySchema, SchemaDescription } from 'yup'

/** A list in a body that is longer than its schema takes: where it stands, and how many it may hold. */
export type TooLong = { path: string; most: number }

/** The first list that is too long, found by its length alone, so that nobody's thread is held by checking what is refused anyway. */
export function tooLong(schema: AnySchema, value: unknown): TooLong | null {
  const lists = known.get(schema) ?? listsOf(schema.describe() as Described, [])
  known.set(schema, lists)
  for (const { keys, most } of lists) {
    const at = keys.reduce<unknown>(
      (inside, key) => (typeof inside === 'object' && inside !== null ? (inside as never)[key] : undefined),
      value,
    )
    if (Array.isArray(at) && at.length > most) return { path: keys.join('.'), most }
  }
  return null
}

type Described = SchemaDescription & { fields?: Record<string, Described> }
type List = { keys: string[]; most: number }

/** Contracts are never changed, so what is read off their schemas is kept beside them. */
const known = new WeakMap<AnySchema, List[]>()

function listsOf({ type, tests, fields = {} }: Described, keys: string[]): List[] {
  const most = tests.find(({ name }) => name === 'max')?.params?.max
  if (type === 'array') return typeof most === 'number' ? [{ keys, most }] : []
  return Object.entries(fields).flatMap(([key, field]) => listsOf(field, [...keys, key]))
}
