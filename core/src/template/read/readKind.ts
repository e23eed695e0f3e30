import type { Schema } from 'yup'
import { at, fixForName, fixForRetired, type Checker } from '../../parsing/index.ts'

/** Reads `{"<key>": kind, …params}` against the parameters of that kind. */
export function readKind<T>(
  checker: Checker,
  value: unknown,
  path: string,
  key: 'of' | 'kind' | 'trigger',
  kinds: readonly string[],
  unit: (kind: string) => { params: Schema },
): T | undefined {
  const { [key]: kind, ...params } = (value ?? {}) as Record<string, unknown>
  if (typeof kind !== 'string' || !kinds.includes(kind)) {
    const retired = fixForRetired(key, Object.keys((value ?? {}) as object)) ?? fixForName(kind, kinds)
    checker.add(at(path, key), `one of ${kinds.join(', ')}`, kind, retired)
    return undefined
  }
  const read = checker.check(unit(kind).params, params, path) as object | undefined
  return read ? ({ [key]: kind, ...read } as T) : undefined
}
