/** A total in as many sets as it takes: the sets that are written say about how many. */
export type AnySets = { anySets?: true }

/** "30 in all", "3:00 in all, any sets". */
export const cellInAll = (what: string, { anySets }: AnySets): string =>
  `${what} in all${anySets ? ', any sets' : ''}`

/** What is in front of "in all", and whether it is in any number of sets; null where nothing is in all. */
export function readInAll(typed: string): { what: string; more: AnySets } | null {
  const [, what, any] = /^(.+?)\s*(?:in all|total)(,?\s*(?:in\s+)?any sets)?$/.exec(typed) ?? []
  return what === undefined ? null : { what, more: any ? { anySets: true } : {} }
}
