import type { ShownSets } from '../member/index.ts'
import { inUnit, snap } from '../units/index.ts'

/** How much lighter a prescription is: sets fewer, load less in kilos and in percent, RIR more. Each is 0 where it is the same. */
export type Lighter = {
  sets: number
  load: { value: number; unit: 'kg' | 'lb' } | null
  percent: number
  rir: number
}

/** Compares a prescription with the one that it stands in for. */
export function lighterThan(was: ShownSets, is: ShownSets): Lighter {
  const rir = (is.rir ?? 0) - (was.rir ?? 0)
  const sets = was.sets - is.sets
  if (!was.load || !is.load) return { sets, load: null, percent: 0, rir }
  const { value, unit } = is.load
  const before = inUnit(was.load, unit).value
  const less = { value: snap(before - value), unit }
  return { sets, load: less, percent: before ? Math.round((1000 * less.value) / before) / 10 : 0, rir }
}

/** "2 sets fewer, 12.5 kg (15.6%) less, 2 RIR more", or "the same". */
export function sayLighter({ sets, load, percent, rir }: Lighter): string {
  const said = [
    sets > 0 && `${sets} ${sets === 1 ? 'set' : 'sets'} fewer`,
    load && load.value > 0 && `${load.value} ${load.unit} (${percent}%) less`,
    rir > 0 && `${rir} RIR more`,
  ].filter(Boolean)
  return said.join(', ') || 'the same'
}
