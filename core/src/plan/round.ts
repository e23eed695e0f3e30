import {
  compareLoads,
  inUnit,
  platesFor,
  round,
  type Load,
  type Makeable,
  type Met,
  type Way,
} from '../units/index.ts'
import type { Rung } from '../explain/rung.ts'

/** A load as it can be made today, with what it took to get there. */
export type Made = { load: Load; side?: number[]; short?: true; rungs: Rung[] }

/** What an exercise can be loaded with here, and at home. */
export type Loading = { here: Makeable; home: Makeable }

/**
 * The one rounding of a slot's load, last of all: everything has been multiplied, nothing rounded before. `short` marks
 * less than meant for want of plates: more than the ordinary rounding, or more than home's plates would have taken off.
 */
export function make(meant: Load, { here, home }: Loading, way: Way): Made {
  const { load, met } = round(meant, here, way)
  const made: Made = { load, rungs: roundRungs(meant, load, met, way) }
  const side = platesFor(load, here)
  if (side) {
    made.side = side
    made.rungs.push(plateRung(here, side))
  }
  if (met === 'top' || (home !== here && compareLoads(load, round(meant, home, way).load) < 0))
    made.short = true
  return made
}

function roundRungs(meant: Load, load: Load, met: Met, way: Way): Rung[] {
  const from = inUnit(meant, load.unit)
  const own: Rung =
    met === 'exact'
      ? { id: 'round.exact', data: { load } }
      : { id: `round.${met === 'rounded' ? way : met}`, data: { meant: from, load } }
  return from === meant ? [own] : [{ id: 'round.unit', data: { meant, as: from } }, own]
}

function plateRung({ bar = 0, unit }: Makeable, side: number[]): Rung {
  const load = { value: bar, unit }
  if (!side.length) return { id: 'plates.none', data: { bar: load } }
  return { id: 'plates.side', data: { bar: load, plates: side.join(' + '), unit } }
}

export const showMessages = {
  'round.unit': '{meant} is {as} in the unit of the plates',
  'round.exact': '{load}, which can be loaded exactly',
  'round.nearest': '{meant}, nearest that can be loaded: {load}',
  'round.down': '{meant}, down to what can be loaded: {load}',
  'round.up': '{meant}, up to what can be loaded: {load}',
  'round.floor': '{meant} is less than the least that can be loaded: {load}',
  'round.top': '{meant} is more than can be loaded here: {load}, all there is',
  'plates.side': '{bar} bar, each side {plates} {unit}',
  'plates.none': '{bar} bar, no plates',
}
