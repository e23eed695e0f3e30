import { closest, distance } from 'fastest-levenshtein'
import { fixForRetired } from './retired.ts'

/** The name that was most likely meant, whatever its case, spaces and dashes: at most a third of its letters are others. Null where none is near. */
export function nearest(typed: unknown, names: readonly string[]): string | null {
  if (typeof typed !== 'string' || !typed || typed.length > 80 || !names.length) return null
  const near = closest(bare(typed), names.map(bare))
  const name = names.find((one) => bare(one) === near)
  return name !== undefined && distance(bare(typed), near) <= near.length / 3 ? name : null
}

const bare = (name: string): string => name.toLowerCase().replace(/[\s_-]/g, '')

/** What a name that is none of those that there are was most likely meant to be: one of an earlier format, or one that is near. */
export function fixForName(typed: unknown, names: readonly string[]): string | undefined {
  const retired = fixForRetired(typed, names)
  if (retired) return retired
  const near = nearest(typed, names)
  return near === null ? undefined : `Write "${near}".`
}
