import { compareLoads, type Day, type Load } from '../units/index.ts'
import type { Evidence } from './evidence.ts'

/** A max that training or a test suggests and that drives nothing until somebody accepts it. */
export type Proposal = {
  /** The lift's key. */
  lift: string
  load: Load
  date: Day
  /** The set that an estimate comes from; a lower test has none. */
  from?: { load: Load; reps: number }
  how: 'estimate' | 'lower test'
}

/** Estimates above the max in force, and tests below it, newer than that max. */
export function proposalsOf({ maxes, estimates, lower }: Evidence): Proposal[] {
  const found: Proposal[] = []
  for (const [lift, { load, date, from }] of Object.entries(estimates)) {
    const inForce = maxes[lift]?.at(-1)
    if (inForce && inForce.date <= date && compareLoads(load, inForce.load) > 0)
      found.push({ lift, load, date, from, how: 'estimate' })
  }
  for (const [lift, { load, date }] of Object.entries(lower))
    found.push({ lift, load, date, how: 'lower test' })
  return found
}
