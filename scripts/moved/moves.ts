import type { NextLoads } from '@young-oak/server/planning/nextLoads'

/** Whose next loads two engines give differently, line by line, with the steps of the second that the first had not. */
export function movesOf(before: NextLoads, after: NextLoads): { member: string; lines: string[] }[] {
  return Object.entries(after).flatMap(([member, now]) => {
    const was = before[member] ?? {}
    const lines = [...new Set([...Object.keys(was), ...Object.keys(now)])].flatMap((at) => {
      const [old, own] = [was[at], now[at]]
      if (old?.load === own?.load) return []
      const why = own?.why?.filter((step) => !old?.why?.includes(step)) ?? []
      return [
        `${at}: ${old?.load ?? 'nothing'} → ${own?.load ?? 'nothing'}${why.length ? ` (${why.join('; ')})` : ''}`,
      ]
    })
    return lines.length ? [{ member, lines }] : []
  })
}
