import { liftKey } from '../library/index.ts'
import type { Ratio } from '../template/index.ts'
import { compareLoads, scale, type Day, type Load } from '../units/index.ts'
import type { Evidence, SetSeen } from './evidence.ts'

/** A max that training or a test suggests and that drives nothing until somebody accepts it. */
export type Proposal = {
  /** The lift's key. */
  lift: string
  load: Load
  date: Day
  /** The set that an estimate comes from; a lower test has none. */
  from?: SetSeen
  how: 'estimate' | 'lower test' | 'lower estimate'
}

/** How far an estimate must lie from a max by ratio, in percent of it, before it is proposed in its place. */
const apart = 2.5

/**
 * Estimates above the max in force, and tests below it, newer than that max. For a lift that is tied to another by a ratio
 * and has no max of its own, an estimate on either side of the ratio's: so logs correct the ratio, once they are accepted. Of a lift
 * that is `wanted`, whose max a plan lacks, any estimate. Below the max in force the estimate of the latest session that told how much there was:
 * kept quietly, and offered only where that max is `stale`, too old to trust.
 */
export function proposalsOf(
  evidence: Evidence,
  ratios: Ratio[] = [],
  wanted: ReadonlySet<string> = new Set(),
  stale: ReadonlySet<string> = new Set(),
): Proposal[] {
  const { maxes, estimates, recent, lower } = evidence
  const found: Proposal[] = []
  for (const [lift, best] of Object.entries(estimates)) {
    const inForce = maxes[lift]?.at(-1)
    // Where there is no max to stand above, the latest session says most.
    const { load, date, from } = inForce ? best : (recent[lift] ?? best)
    const isNew = inForce
      ? inForce.date <= date && compareLoads(load, inForce.load) > 0
      : (wanted.has(lift) && !ratios.some((one) => liftKey(one.lift) === lift)) ||
        isOff(evidence, ratios, lift, load)
    if (isNew) found.push({ lift, load, date, from, how: 'estimate' })
  }
  for (const [lift, { load, date, from, atLeast }] of Object.entries(recent)) {
    const inForce = maxes[lift]?.at(-1)
    const isBelow = inForce && inForce.date < date && compareLoads(load, scale(inForce.load, 100 - apart)) < 0
    if (!isBelow || atLeast || found.some((one) => one.lift === lift)) continue
    found.push({ lift, load, date, from, how: stale.has(lift) ? 'estimate' : 'lower estimate' })
  }
  for (const [lift, { load, date }] of Object.entries(lower))
    found.push({ lift, load, date, how: 'lower test' })
  return found
}

function isOff({ maxes }: Evidence, ratios: Ratio[], key: string, load: Load): boolean {
  const ratio = ratios.find(({ lift }) => liftKey(lift) === key)
  const base = ratio && maxes[liftKey(ratio.of)]?.at(-1)
  if (!base) return false
  const derived = scale(base.load, ratio.percent)
  return (
    compareLoads(load, scale(derived, 100 + apart)) > 0 || compareLoads(load, scale(derived, 100 - apart)) < 0
  )
}
