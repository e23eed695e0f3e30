import { snap, type Load, type Unit } from './load.ts'

/**
 * What a barbell can be loaded with at a place. `pairs` counts pairs: one plate for each side. `bar` is the usual bar; `bars`
 * are others of the place, taken where they alone can make a load lighter than it; `special` are bars that some exercises need.
 */
export type Rack = {
  unit: Unit
  bar: number
  bars?: number[]
  special?: Partial<Record<SpecialBar, number>>
  plates: { weight: number; pairs: number }[]
}

export const specialBars = ['trap bar', 'safety bar', 'curl bar', 'guided bar'] as const
export type SpecialBar = (typeof specialBars)[number]

/**
 * Loads that come ready made, ascending: the dumbbells of a place (one hand), the pins of its stacks (of one machine where an
 * exercise is named), or the help of its assistance machine. `plates` are single plates that go on top of a pin.
 */
export type Fixed = { tool: FixedTool; exercise?: string; unit: Unit; loads: number[]; plates?: number[] }
export const fixedTools = ['dumbbells', 'machine', 'assistance'] as const
export type FixedTool = (typeof fixedTools)[number]

/**
 * Every load that can be made, ascending. Beside body weight below zero for help. `parts` says, for each, the bar with the
 * fewest plates of one side, the plates that hang from a belt, or the pin with those on top of it.
 */
export type Makeable = { unit: Unit; loads: number[]; parts?: Parts[] }
export type Parts = { bar?: number; pin?: number; plates: number[] }

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

/** What special bars weigh where a place does not say (common practice, no source). */
export const usualSpecial: Record<Unit, Record<SpecialBar, number>> = {
  kg: { 'trap bar': 25, 'safety bar': 30, 'curl bar': 10, 'guided bar': 20 },
  lb: { 'trap bar': 55, 'safety bar': 65, 'curl bar': 20, 'guided bar': 45 },
}

const ladder = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => snap(from + i * step))

/** What is assumed where nobody has listed the dumbbells or stacks. */
export const usualFixed: Record<FixedTool, Record<Unit, Fixed>> = {
  dumbbells: {
    kg: { tool: 'dumbbells', unit: 'kg', loads: ladder(2, 50, 2) },
    lb: { tool: 'dumbbells', unit: 'lb', loads: ladder(5, 100, 5) },
  },
  machine: {
    kg: { tool: 'machine', unit: 'kg', loads: ladder(5, 150, 5) },
    lb: { tool: 'machine', unit: 'lb', loads: ladder(10, 300, 10) },
  },
  assistance: {
    kg: { tool: 'assistance', unit: 'kg', loads: ladder(5, 80, 5) },
    lb: { tool: 'assistance', unit: 'lb', loads: ladder(10, 180, 10) },
  },
}

/** Heaviest total that is ever made, in either unit: it bounds the table, not the lifter. */
const heaviest = 1200

/**
 * The exact loads of a rack with its limited plates. Each side carries the same plates.
 * A 20 kg bar with one pair of 20s and one of 1.25s makes 20, 22.5, 60 and 62.5 kg; a 15 kg bar beside it adds 15 and 17.5.
 */
export function makeable(rack: Rack): Makeable {
  return keptFor(rack, 'bar', () => {
    const sides = sumsOf(
      rack.plates.map(({ weight, pairs }) => ({ weight, count: pairs })),
      heaviest / 2,
    )
    const onBar = new Map<number, Parts>()
    for (const bar of [rack.bar, ...(rack.bars ?? [])])
      for (const [sum, plates] of sides) {
        const total = snap(bar + 2 * sum)
        if (bar === rack.bar || (total < rack.bar && !onBar.has(total))) onBar.set(total, { bar, plates })
      }
    return ascending(rack.unit, onBar)
  })
}

/** What a special bar makes of the rack's plates: the place's own, or one of the usual weight. */
export function makeableWith(rack: Rack, bar: SpecialBar): Makeable {
  return keptFor(rack, bar, () => {
    const { bars: _, special, ...rest } = rack
    return makeable({ ...rest, bar: special?.[bar] ?? usualSpecial[rack.unit][bar] })
  })
}

/**
 * What goes with body weight, below zero for help and above it for plates on a belt, of which each hangs singly: with one
 * pair of 20s and help of 5 or 10, it is −10, −5, 0, 20 and 40.
 */
export function makeableOnBody(rack: Rack, help: Fixed): Makeable {
  return keptFor(rack, `help ${help.unit} ${help.loads.join(' ')}`, () => {
    const hung = sumsOf(
      rack.plates.map(({ weight, pairs }) => ({ weight, count: 2 * pairs })),
      heaviestHung,
    )
    const all = new Map<number, Parts>([...hung].map(([sum, plates]) => [sum, { plates }]))
    if (help.unit === rack.unit) for (const load of help.loads) all.set(-load, { plates: [] })
    return ascending(rack.unit, all)
  })
}

/**
 * The pins of a stack, and with plates on top of them: pins of 5 and 10 kg and one plate of 2.5 make 5, 7.5, 10 and 12.5. What a pin makes by itself needs
 * no plates.
 */
export function makeableOnPin(stack: Fixed): Makeable {
  const { unit, loads, plates } = stack
  if (!plates?.length) return stack
  const known = onPins.get(stack)
  if (known) return known
  const sums = sumsOf(
    plates.map((weight) => ({ weight, count: 1 })),
    heaviestHung,
  )
  const all = new Map<number, Parts>()
  for (const pin of loads)
    for (const [sum, used] of sums) {
      const total = snap(pin + sum)
      const had = all.get(total)
      if (!had || isBetter(used, had.plates)) all.set(total, { pin, plates: used })
    }
  const made = ascending(unit, all)
  onPins.set(stack, made)
  return made
}

const onPins = new WeakMap<Fixed, Makeable>()

/** More than this is never hung from a belt, or put on a pin. */
const heaviestHung = 150

/** Every sum of limited plates up to `most`, each with the fewest plates that make it. */
function sumsOf(plates: { weight: number; count: number }[], most: number): Map<number, number[]> {
  let sums = new Map<number, number[]>([[0, []]])
  for (const { weight, count } of [...plates].sort((a, b) => b.weight - a.weight)) {
    const next = new Map(sums)
    for (const [sum, used] of sums) {
      for (let n = 1; n <= count; n++) {
        const total = snap(sum + n * weight)
        if (total > most) break
        const better = [...used, ...Array<number>(n).fill(weight)]
        const had = next.get(total)
        if (!had || isBetter(better, had)) next.set(total, better)
      }
    }
    sums = next
  }
  return sums
}

function ascending(unit: Unit, made: Map<number, Parts>): Makeable {
  const sorted = [...made].sort(([a], [b]) => a - b)
  return { unit, loads: sorted.map(([load]) => load), parts: sorted.map(([, parts]) => parts) }
}

/**
 * Tables are kept by what the rack holds: a member's equipment is read anew with each request, and making a table takes longer than a plan. The
 * longest unused rack goes first.
 */
function keptFor(rack: Rack, what: string, make: () => Makeable): Makeable {
  const tables = tablesOf(rack)
  let table = tables.get(what)
  if (!table) tables.set(what, (table = make()))
  return table
}

type Tables = Map<string, Makeable>

/** The tables of a rack; a rack is compared once with those that are known. */
function tablesOf(rack: Rack): Tables {
  const own = ofRack.get(rack)
  if (own) return own
  const text = JSON.stringify(rack)
  let tables = ofText.get(text)
  if (tables) ofText.delete(text)
  ofText.set(text, (tables ??= new Map()))
  if (ofText.size > mostRacks) ofText.delete(ofText.keys().next().value as string)
  ofRack.set(rack, tables)
  return tables
}

const ofRack = new WeakMap<Rack, Tables>()
const ofText = new Map<string, Tables>()
const mostRacks = 200

/** Fewer plates first; of as many, the heavier ones on the inside (25 + 15 before 20 + 20). */
function isBetter(a: number[], b: number[]): boolean {
  if (a.length !== b.length) return a.length < b.length
  const at = a.findIndex((weight, i) => weight !== b[i])
  return at >= 0 && (a[at] as number) > (b[at] as number)
}

/** How a load is made: the bar with the plates of one side, heaviest first, or those on the belt. Null where it cannot be. */
export function partsFor(load: Load, can: Makeable): Parts | null {
  const at = lastAtOrBelow(can.loads, snap(load.value))
  if (can.loads[at] !== snap(load.value) || load.unit !== can.unit) return null
  return can.parts?.[at] ?? null
}

/** What can be made with one of the bars: nobody changes bars between two sets. */
export function withBar(can: Makeable, bar: number): Makeable {
  const known = oneBar.get(can)?.get(bar)
  if (known) return known
  const own = can.loads.flatMap((load, i) =>
    can.parts?.[i]?.bar === bar ? [{ load, parts: can.parts[i] as Parts }] : [],
  )
  const made = { unit: can.unit, loads: own.map(({ load }) => load), parts: own.map(({ parts }) => parts) }
  oneBar.set(can, (oneBar.get(can) ?? new Map<number, Makeable>()).set(bar, made))
  return made
}

const oneBar = new WeakMap<Makeable, Map<number, Makeable>>()

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
