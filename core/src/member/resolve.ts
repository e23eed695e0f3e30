/** What resolving needs of an entry. */
type Revised = { id: string; rev: number; change?: string; replaces?: string; void?: true }

/**
 * The entries that count: of one id the highest revision, of equal revisions the greater change id; then none that a
 * counting entry replaces, and none that is void. The order of arrival makes no difference.
 */
export function resolve<T extends Revised>(entries: readonly T[]): T[] {
  const winners = latest(entries)
  const isPlain = winners.every((entry) => !entry.void && !entry.replaces)
  if (isPlain) return winners
  const replaced = new Set(winners.flatMap(({ replaces }) => replaces ?? []))
  return winners.filter((entry) => !entry.void && !replaced.has(entry.id))
}

/** Of each id the entry that wins. */
export function latest<T extends Revised>(entries: readonly T[]): T[] {
  const winners = new Map<string, T>()
  for (const entry of entries) {
    const had = winners.get(entry.id)
    if (!had || beats(entry, had)) winners.set(entry.id, entry)
  }
  return winners.size === entries.length ? [...entries] : [...winners.values()]
}

/** True when `a` wins over `b` of the same id. */
export function beats(a: Revised, b: Revised): boolean {
  if (a.rev !== b.rev) return a.rev > b.rev
  return (a.change ?? '') > (b.change ?? '')
}
