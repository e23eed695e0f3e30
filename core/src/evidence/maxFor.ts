import { liftKey, liftName, type Lift, type Library } from '../library/index.ts'
import type { MaxInForce } from '../loads/index.ts'
import type { MaxPolicy } from '../template/index.ts'
import { addDays, compareLoads, daysBetween, heavier, scale, type Day, type Load } from '../units/index.ts'
import type { Evidence } from './evidence.ts'

/** Weeks after which a max is too old to trust, where the template says nothing. */
export const freshWeeks = 16

/** The max that percents read on a day: the newest accepted one, or the best max of recent weeks; said to be old where it is. */
export function maxFor(
  library: Library,
  known: Evidence,
  lift: Lift,
  policy: MaxPolicy,
  day: Day,
): MaxInForce | null {
  const max = chosenMax(known, lift, policy, day) ?? byRatio(library, known, lift, policy, day)
  if (!max || max.date > lastStaleDay(policy, day)) return max
  const old = { ...max }
  old.staleWeeks = Math.floor(daysBetween(max.date, day) / 7)
  return old
}

/**
 * The most that is known of a lift itself on a day: its max in force, or the highest estimate that nobody has answered where that is
 * higher. Null where it has no max, and its sets tell only what it is at least.
 */
export function ableFor(known: Evidence, lift: Lift, policy: MaxPolicy, day: Day): Load | null {
  const max = chosenMax(known, lift, policy, day)
  const seen = known.estimates[liftKey(lift)]
  if (!max) return seen && !seen.atLeast ? seen.load : null
  return seen ? heavier(max.load, seen.load) : max.load
}

/** Whether a max of a day is too old to trust by the template. */
export const isStale = (policy: MaxPolicy, date: Day, day: Day): boolean => date <= lastStaleDay(policy, day)

/** A max by the template's ratio to another lift, for a lift that has none of its own. */
function byRatio(
  library: Library,
  known: Evidence,
  lift: Lift,
  policy: MaxPolicy,
  day: Day,
): MaxInForce | null {
  const ratio = policy.ratios?.find((one) => liftKey(one.lift) === liftKey(lift))
  const base = ratio && chosenMax(known, ratio.of, policy, day)
  if (!base) return null
  const { percent, of } = ratio
  return {
    load: scale(base.load, percent),
    date: base.date,
    how: base.how,
    ratio: { of: liftName(library, of).toLowerCase(), base: base.load, percent },
  }
}

/** The last day that lies further back than the weeks that are trusted. */
function lastStaleDay(policy: MaxPolicy, day: Day): Day {
  const last = staleDays.get(policy)
  if (last?.day === day) return last.stale
  const stale = addDays(day, -7 * ((policy.fresh ?? freshWeeks) + 1))
  staleDays.set(policy, { day, stale })
  return stale
}

/** A policy is read for this lift everywhere: a day: the day is worked out once. */
const staleDays = new WeakMap<MaxPolicy, { day: Day; stale: Day }>()

function chosenMax(known: Evidence, lift: Lift, policy: MaxPolicy, day: Day): MaxInForce | null {
  const accepted = known.maxes[liftKey(lift)]
  const newest = accepted?.[accepted.length - 1] ?? null
  if (!accepted || policy.use === 'newest') return newest
  const since = addDays(day, -7 * policy.weeks)
  return accepted
    .filter(({ date }) => date >= since)
    .reduce((best, one) => (best && compareLoads(best.load, one.load) > 0 ? best : one), newest)
}
