import { exerciseOf, liftKey, type Lift, type Library } from '../library/index.ts'
import { resolve, type SessionLog } from '../member/index.ts'
import { isDone, topSet } from '../evidence/index.ts'
import { inUnit, type Day, type Load, type Unit } from '../units/index.ts'

/** The best estimated max of a lift on a day. */
export type Seen = { date: Day; value: number }

/** What each day of training says about the max of a lift, oldest first, in one unit. Light sessions say nothing. */
export function estimatesOf(
  library: Library,
  logs: SessionLog[],
  lift: Lift,
  unit: Unit,
  body?: Load,
): Seen[] {
  const best = new Map<Day, number>()
  const own = exerciseOf(library, lift).tool === 'body weight' ? body : undefined
  for (const log of resolve(logs)) {
    const sets = resolve(log.sets).filter(
      (set) => liftKey(set) === liftKey(lift) && isDone(set) && !log.shown?.slots[set.slot]?.deload,
    )
    const top = topSet(sets, own)
    if (!top) continue
    const { value } = inUnit(top.estimate, unit)
    best.set(log.date, Math.max(value, best.get(log.date) ?? 0))
  }
  return [...best].map(([date, value]) => ({ date, value })).sort((a, b) => (a.date < b.date ? -1 : 1))
}
