import { exerciseOf, isSameLift, type Lift, type Library } from '../library/index.ts'
import { resolve, type SessionLog } from '../member/index.ts'
import { isDone, isToTheLimit, topSet } from '../evidence/index.ts'
import { inUnit, type Day, type Load, type Unit } from '../units/index.ts'

/**
 * The best estimated max of a lift on a day. `atLeast` of a day whose sets were all stopped as asked, with no word on how many more there were: the
 * max is no less, and perhaps far more. It is no evidence for the line.
 */
export type Seen = { date: Day; value: number; atLeast?: true }

/**
 * What each day of training says about the max of a lift, oldest first, in one unit. Deloads say nothing. AMRAP sets, sets with their RIR, failed
 * sets and tests are evidence; a day that tells only what the max is at least counts as evidence where that is above all before it.
 */
export function estimatesOf(
  library: Library,
  logs: SessionLog[],
  lift: Lift,
  unit: Unit,
  body?: Load,
): Seen[] {
  const days = new Map<Day, { value: number; isKnown: boolean }>()
  const own = exerciseOf(library, lift).tool === 'body weight' ? body : undefined
  for (const log of resolve(logs)) {
    const sets = resolve(log.sets).filter(
      (set) =>
        isSameLift(set, lift) &&
        (isDone(set) || set.state === 'failed') &&
        !log.shown?.slots[set.slot]?.deload,
    )
    const [best, known] = [
      topSet(sets, own),
      topSet(
        sets.filter((set) => isToTheLimit(log, set)),
        own,
      ),
    ]
    const top = known ?? best
    if (!top) continue
    const { value } = inUnit(top.estimate, unit)
    const had = days.get(log.date)
    const isKnown = known !== null
    if (!had || (isKnown && !had.isKnown) || (isKnown === had.isKnown && value > had.value))
      days.set(log.date, { value, isKnown })
  }
  let highest = -Infinity
  return [...days]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([date, { value, isKnown }]) => {
      const counts = isKnown || value > highest
      if (counts) highest = Math.max(highest, value)
      return { date, value, ...(!counts && { atLeast: true as const }) }
    })
}

/** The days that a line may go through. */
export const evidenceOf = (seen: Seen[]): Seen[] => seen.filter(({ atLeast }) => !atLeast)
