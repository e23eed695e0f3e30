// What upgrade files are made of. They read JSON that nobody has checked, so whatever is not of the expected shape is left as it is.

type Fields = Record<string, unknown>

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** An object with some keys under new names, all in their order. A key whose new name is taken stays, so that nothing is lost. */
export function renameKeys(value: unknown, names: Record<string, string>): unknown {
  if (!isFields(value)) return value
  const rename = (key: string): string => {
    const to = Object.hasOwn(names, key) ? names[key] : undefined
    return to === undefined || Object.hasOwn(value, to) ? key : to
  }
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [rename(key), one]))
}

/** An object with some of its fields upgraded, those that it has. */
export function upgradeFields(value: unknown, by: Record<string, (field: unknown) => unknown>): unknown {
  if (!isFields(value)) return value
  const upgrade = (key: string, field: unknown) =>
    Object.hasOwn(by, key) ? (by[key] as (field: unknown) => unknown)(field) : field
  return Object.fromEntries(Object.entries(value).map(([key, field]) => [key, upgrade(key, field)]))
}

/** Every entry of a list, or of a map by id, upgraded. */
export function upgradeEach(value: unknown, by: (entry: unknown) => unknown): unknown {
  if (Array.isArray(value)) return value.map(by)
  if (!isFields(value)) return value
  return Object.fromEntries(Object.entries(value).map(([id, entry]) => [id, by(entry)]))
}

/** One text in place of another: the name of a kind. */
export const renameText =
  (names: Record<string, string>) =>
  (value: unknown): unknown =>
    typeof value === 'string' && Object.hasOwn(names, value) ? names[value] : value

/** What a field says, where there is an object that has it. */
export const fieldIn = (value: unknown, key: string): unknown =>
  isFields(value) && Object.hasOwn(value, key) ? value[key] : undefined
