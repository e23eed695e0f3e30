import { inUnit, snap, type Load } from './load.ts'
import { lastAtOrBelow, type Makeable } from './rack.ts'

/** Which way to go when the meant load cannot be made. Ties of `nearest` go up, those of `nearestDown` down. */
export const ways = ['nearest', 'nearestDown', 'down', 'up'] as const
export type Way = (typeof ways)[number]

export const wayWords: Record<Way, string> = {
  nearest: 'to the nearest, ties up',
  nearestDown: 'to the nearest, ties down',
  down: 'down',
  up: 'up',
}

/** What rounding met: the meant load was below the least there is (the empty bar), or above the most. */
export type Met = 'exact' | 'rounded' | 'floor' | 'top'

/**
 * The one rounding of the product: from a meant load to one that the rack makes, in the rack's unit.
 * The meant load is cut to 0.0001 first. Never below the empty bar, never above the plates there are; `met` says which. Of an empty list it throws.
 * Beside body weight `meant` is what goes on top of it, below zero for help.
 * 61.25 kg on a 20 kg bar with 1.25 kg plates: nearest 62.5 (a tie goes up), down 60.
 */
export function round(meant: Load, can: Makeable, way: Way): { load: Load; met: Met } {
  const value = snap(inUnit(meant, can.unit).value)
  const at = lastAtOrBelow(can.loads, value)
  const below = can.loads[at]
  const above = can.loads[at + 1]
  if (below === undefined) return made(least(can), can, 'floor')
  if (below === value) return made(below, can, 'exact')
  if (above === undefined) return made(below, can, 'top')
  if (way === 'down') return made(below, can, 'rounded')
  if (way === 'up') return made(above, can, 'rounded')
  const closer = snap(snap(value - below) - snap(above - value))
  return made(closer < 0 || (closer === 0 && way === 'nearestDown') ? below : above, can, 'rounded')
}

const made = (value: number, { unit }: Makeable, met: Met) => ({ load: { value, unit }, met })

function least({ loads }: Makeable): number {
  if (loads[0] === undefined) throw new Error('missing loads: nothing can be made')
  return loads[0]
}
