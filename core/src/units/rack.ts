import { snap, type Load, type Unit } from './load.ts'

/** What one barbell can be loaded with at a place. `pairs` counts pairs: one plate for each side. */
export type Rack = { unit: Unit; bar: number; plates: { weight: number; pairs: number }[] }

/** Loads that come ready made, ascending: the dumbbells of a place (one hand), or the pins of its stacks. */
export type Fixed = { tool: 'dumbbells' | 'machine'; unit: Unit; loads: number[] }

/** Every load that can be made, ascending; for a barbell with the bar and the fewest plates of one side for each. */
export type Makeable = { unit: Unit; loads: number[]; bar?: number; side?: number[][] }

/** What is assumed, and said, where nobody has listed the equipment. */
export const usualRack: Record<Unit, Rack> = {
  kg: {
    unit: 'kg',
    bar: 20,
    plates: [
      { weight: 25, pairs: 4 },
      { weight: 20, pairs: 2 },
      { weight: 15, pairs: 1 },
      { weight: 10, pairs: 2 },
      { weight: 5, pairs: 1 },
      { weight: 2.5, pairs: 1 },
      { weight: 1.25, pairs: 1 },
    ],
  },
  lb: {
    unit: 'lb',
    bar: 45,
    plates: [
      { weight: 45, pairs: 6 },
      { weight: 35, pairs: 1 },
      { weight: 25, pairs: 1 },
      { weight: 10, pairs: 2 },
      { weight: 5, pairs: 1 },
      { weight: 2.5, pairs: 1 },
    ],
  },
}

const ladder = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => snap(from + i * step))

/** What is assumed where nobody has listed the dumbbells or stacks. */
export const usualFixed: Record<Fixed['tool'], Record<Unit, Fixed>> = {
  dumbbells: {
    kg: { tool: 'dumbbells', unit: 'kg', loads: ladder(2, 50, 2) },
    lb: { tool: 'dumbbells', unit: 'lb', loads: ladder(5, 100, 5) },
  },
  machine: {
    kg: { tool: 'machine', unit: 'kg', loads: ladder(5, 150, 5) },
    lb: { tool: 'machine', unit: 'lb', loads: ladder(10, 300, 10) },
  },
}

/** Heaviest total that is ever made, in either unit: it bounds the table, not the lifter. */
const heaviest = 1200

/**
 * The exact loads of a rack with its limited plates. Each side carries the same plates.
 * A 20 kg bar with one pair of 20s and one of 1.25s makes 20, 22.5, 60 and 62.5 kg.
 */
export function makeable(rack: Rack): Makeable {
  const known = made.get(rack)
  if (known) return known
  let sides = new Map<number, number[]>([[0, []]])
  for (const { weight, pairs } of [...rack.plates].sort((a, b) => b.weight - a.weight)) {
    const next = new Map(sides)
    for (const [sum, plates] of sides) {
      for (let n = 1; n <= pairs; n++) {
        const total = snap(sum + n * weight)
        if (rack.bar + 2 * total > heaviest) break
        const better = [...plates, ...Array<number>(n).fill(weight)]
        const had = next.get(total)
        if (!had || isBetter(better, had)) next.set(total, better)
      }
    }
    sides = next
  }
  const sorted = [...sides].sort(([a], [b]) => a - b)
  const result = {
    unit: rack.unit,
    bar: rack.bar,
    loads: sorted.map(([sum]) => snap(rack.bar + 2 * sum)),
    side: sorted.map(([, plates]) => plates),
  }
  made.set(rack, result)
  return result
}

/** Fewer plates first; of as many, the heavier ones on the inside (25 + 15 before 20 + 20). */
function isBetter(a: number[], b: number[]): boolean {
  if (a.length !== b.length) return a.length < b.length
  const at = a.findIndex((weight, i) => weight !== b[i])
  return at >= 0 && (a[at] as number) > (b[at] as number)
}

/** A rack is read once and never changed, so its table is kept beside it. */
const made = new WeakMap<Rack, Makeable>()

/** The plates of one side, heaviest first, or null when the rack cannot make the load. */
export function platesFor(load: Load, can: Makeable): number[] | null {
  const at = lastAtOrBelow(can.loads, snap(load.value))
  if (can.loads[at] !== snap(load.value)) return null
  return load.unit === can.unit ? (can.side?.[at] ?? null) : null
}

/** Index of the last number at or below `value` in an ascending list, −1 where all are above. */
export function lastAtOrBelow(sorted: number[], value: number): number {
  let low = 0
  let high = sorted.length
  while (low < high) {
    const middle = (low + high) >> 1
    if ((sorted[middle] as number) <= value) low = middle + 1
    else high = middle
  }
  return low - 1
}
