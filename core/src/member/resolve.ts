/** What resolving needs of an entry. */
type Revised = { id: string; rev: number; change?: string; replaces?: string; void?: true }

/**
 * The entries that count: of one id the highest revision, of equal revisions the greater change id; then none that a
 * counting entry replaces, and none that is void. The order of arrival makes no difference.
 */
export function resolve<T extends Revised>(entries: readonly T[]): T[] {
  const winners = new Map<string, T>()
  let isPlain = true
  for (const entry of entries) {
    const had = winners.get(entry.id)
    if (!had || beats(entry, had)) winners.set(entry.id, entry)
    if (had || entry.void || entry.replaces) isPlain = false
  }
  if (isPlain) return [...entries]
  const replaced = new Set<string>()
  for (const { replaces } of winners.values()) if (replaces) replaced.add(replaces)
  return [...winners.values()].filter((entry) => !entry.void && !replaced.has(entry.id))
}

/** True when `a` wins over `b` of the same id. */
export function beats(a: Revised, b: Revised): boolean {
  if (a.rev !== b.rev) return a.rev > b.rev
  return (a.change ?? '') > (b.change ?? '')
}
