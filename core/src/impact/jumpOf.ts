import type { Evidence } from '../evidence/index.ts'
import { liftKey, liftOf, type Lift, type Library } from '../library/index.ts'
import { defaultFormula, estimate, mostInReserve } from '../maxes/index.ts'
import type { ShownSets } from '../member/index.ts'
import type { PlannedSession } from '../plan/index.ts'
import { compareLoads, formatLoad, highest, inUnit, type Load } from '../units/index.ts'
import { formatGroup } from '../views/index.ts'

/** How much more a lift's sets ask than those before: in percent of the max that a set supposes. */
export type Jump = { lift: Lift; from: string; to: string; percent: number }

type Demand = { lift: Lift; load: Load; says: string }

/**
 * The lift that jumps most, from what was asked in the sessions before, or from the latest session's estimate where it was not asked. Sets of several reps
 * are compared by the max that they suppose, which is a comparison and no estimate of the lifter.
 */
export function jumpOf(
  library: Library,
  before: PlannedSession[],
  after: PlannedSession[],
  { recent }: Pick<Evidence, 'recent'>,
): Jump | null {
  const was = demandsOf(library, before)
  let most: Jump | null = null
  for (const [key, { lift, load, says }] of demandsOf(library, after)) {
    const seen = recent[key]
    const old = was.get(key) ?? (seen && { load: seen.load, says: `e1RM ${formatLoad(seen.load)}` })
    if (!old) continue
    const percent = Math.round((load.value / inUnit(old.load, load.unit).value - 1) * 100)
    if (percent > (most?.percent ?? 0)) most = { lift, from: old.says, to: says, percent }
  }
  return most
}

/** The most that is asked of each lift, by the max that it supposes. */
function demandsOf(library: Library, sessions: PlannedSession[]): Map<string, Demand> {
  const most = new Map<string, Demand>()
  for (const { slots } of sessions)
    for (const slot of slots)
      for (const set of slot.sets) {
        const load = supposed(set)
        const lift = liftOf(set.lift ?? slot)
        const key = liftKey(lift)
        const known = most.get(key)
        if (load && (!known || compareLoads(load, known.load) > 0))
          most.set(key, { lift, load, says: formatGroup(library, set) })
      }
  return most
}

function supposed({ load, help, reps, rir = 0 }: ShownSets): Load | null {
  if (!load || help || reps === null) return null
  return estimate(load, highest(reps), defaultFormula, Math.min(rir, mostInReserve))
}
