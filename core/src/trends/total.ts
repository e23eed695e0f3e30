import type { Seen } from './estimates.ts'

/**
 * What several lifts come to on each day on which one of them was seen, by what was last known of each: its estimate, or its max before there is one.
 * Days on which one of them was not known yet say nothing.
 */
export function totalsOf(lifts: { seen: Seen[]; known: Seen[] }[]): Seen[] {
  const dates = new Set(lifts.flatMap(({ seen, known }) => [...seen, ...known].map(({ date }) => date)))
  return [...dates].sort().flatMap((date): Seen[] => {
    const values = lifts.map(({ seen, known }) => lastOn(seen, date) ?? lastOn(known, date))
    if (values.some((one) => one === undefined)) return []
    return [{ date, value: values.reduce<number>((sum, one) => sum + (one ?? 0), 0) }]
  })
}

/** What was last known by a day: days that tell only what the max is at least say it of nothing else. */
const lastOn = (seen: Seen[], day: string): number | undefined =>
  seen.filter(({ date, atLeast }) => date <= day && !atLeast).at(-1)?.value
