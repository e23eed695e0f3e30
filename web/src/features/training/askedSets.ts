import { doneInAll, kindOf } from '@young-oak/core/goals'
import type { SetLog, ShownSets } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'

/**
 * A set that is asked: its prescription, its number in the slot, whether it is an AMRAP set, and whether those before it in its line are enough;
 * of a total what the sets before it come to.
 */
export type AskedSet = { n: number; prescribed: ShownSets; isPlus: boolean; isFree: boolean; soFar?: number }

/**
 * The sets of a slot in order, beside what is logged of it; a circuit is one. A total asks for no more sets once it is reached, and where as
 * many as it takes are asked, for one more until then.
 */
export function askedSets(slot: PlannedSlot, logged: readonly SetLog[] = []): AskedSet[] {
  if (slot.circuit) return [{ n: 1, prescribed: asOne, isPlus: false, isFree: false }]
  const asked: AskedSet[] = []
  let before = 0
  for (const prescribed of slot.sets) {
    const { sets, amrap, least, goal } = prescribed
    const isOpen = goal !== undefined && 'anySets' in goal
    const own = logged.filter(({ n }) => n > before && !isTry({ n }) && (isOpen || n <= before + sets))
    const inAll = goal && kindOf(goal).inAll?.(goal)
    const done = (below: number) =>
      goal
        ? doneInAll(
            goal,
            own.filter(({ n, state }) => n < below && state === 'done'),
          )
        : 0
    const last = Math.max(before, ...own.map(({ n }) => n)) - before
    const isReached = inAll !== undefined && done(Infinity) >= inAll
    const count = isReached ? last : isOpen ? Math.max(sets, last + 1) : sets
    for (let i = 0; i < count; i++) {
      const n = before + i + 1
      const one: AskedSet = {
        n,
        prescribed,
        isPlus: amrap === 'all' || (amrap === 'last' && i === sets - 1),
        isFree: least !== undefined && i >= least,
      }
      if (inAll !== undefined) one.soFar = done(n)
      asked.push(one)
    }
    // Those of a total that was reached early keep the numbers of the sets after them.
    before += sets
  }
  return asked
}

/** What is logged of a circuit has no load and no reps: its lines do. */
const asOne: ShownSets = { prescription: 'circuit', sets: 1, reps: null, target: null, load: null, why: [] }

/** Sets on the way to a load that nobody knows are numbered from here: they are beside those that are asked. */
export const firstTry = 51
export const isTry = ({ n }: Pick<SetLog, 'n'>): boolean => n >= firstTry
