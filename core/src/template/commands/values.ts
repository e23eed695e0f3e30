/** Equal as JSON, in whatever order the keys stand. */
export const same = (a: unknown, b: unknown): boolean => a === b || canonical(a) === canonical(b)

/** JSON with sorted keys: a database may give an object's keys back in another order. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  )
}

/** An object with a field set, or without it where the value is null. */
export function withField<T extends object>(thing: T, field: keyof T, to: unknown): T {
  if (to !== null && to !== undefined) return { ...thing, [field]: to }
  const { [field]: _, ...others } = thing
  return others as T
}

/** What a field holds: null where it is empty, undefined where the thing is gone. */
export const fieldOf = <T extends object>(thing: T | undefined, field: keyof T): unknown =>
  thing && (thing[field] ?? null)

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
