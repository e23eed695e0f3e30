import type { Verdict } from '../state/fold.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import type { Circuit } from '../../template/index.ts'
import { kindOf } from '../../goals/index.ts'
import { compareLoads, lowest, type Load } from '../../units/index.ts'
import type { Lift } from '../../library/index.ts'
import { isDone } from '../../evidence/index.ts'
import { totalOf } from '../prescribe/onTheBar.ts'

/**
 * Compares the prescribed sets, in order, with what was shown. A hit meets every one; a miss was attempted and fell
 * short; nothing attempted is a skip; zero reps in a set that is not marked failed counts as not done. Extra sets count
 * for nothing here. A circuit is scored, and done is a hit. Less because of plates, or another lift than the one shown, is not comparable. `sets` are the slot's, by number.
 */
export function judge(
  { circuit, ...lift }: Lift & { circuit?: Circuit },
  prescriptions: ShownSets[],
  sets: SetLog[],
  deload: boolean,
): Verdict {
  if (!sets.some((set) => isDone(set) || set.state === 'failed')) return 'skip'
  if (deload) return 'deload'
  if (circuit) return sets.some(isDone) ? 'hit' : 'miss'
  const { exercise, variant } = lift
  if (sets.some((set) => set.exercise !== exercise || set.variant !== variant)) return 'not comparable'
  if (prescriptions.some(({ missing, short }) => missing || short)) return 'not comparable'
  let n = 0
  for (const prescribed of prescriptions) {
    if (!meetsSets(prescribed, sets, n)) return 'miss'
    n += prescribed.sets
  }
  return 'hit'
}

/** Whether the sets of a prescription, numbered from the one after `before`, reach what was asked; those beyond `least` are free. */
function meetsSets(prescribed: ShownSets, sets: SetLog[], before: number): boolean {
  const { goal } = prescribed
  const kind = goal && kindOf(goal)
  if (goal && kind?.meetsTogether) {
    const own = sets.filter((set) => set.n > before && set.n <= before + prescribed.sets && isDone(set))
    return kind.meetsTogether(goal, own) && own.every((set) => isHeavyEnough(prescribed, set))
  }
  for (let n = before + 1; n <= before + (prescribed.least ?? prescribed.sets); n++)
    if (!meets(prescribed, setOf(sets, n))) return false
  return true
}

/** The set of a number: most often the one at its place. */
const setOf = (sets: SetLog[], n: number): SetLog | undefined =>
  sets[n - 1]?.n === n ? sets[n - 1] : sets.find((set) => set.n === n)

function meets(prescribed: ShownSets, set: SetLog | undefined): boolean {
  if (!set || !isDone(set)) return false
  const { reps, goal, option } = prescribed
  const share = option && set.option ? option.percent : 100
  const least = Math.ceil((lowest(reps ?? 1) * share) / 100)
  const isReached = goal ? kindOf(goal).meets(goal, set) : (set.reps ?? 0) >= least
  return isReached && isHeavyEnough(prescribed, set)
}

function isHeavyEnough(prescribed: ShownSets, set: SetLog): boolean {
  const [asked, lifted] = [totalOf(prescribed, prescribed), totalOf(prescribed, set)]
  if (!asked || !prescribed.load) return true
  return lifted !== null && compareLoads(lifted, asked) >= 0
}

/**
 * What a verdict counts for when a late or corrected log has moved the replayed load away from the shown one: a hit counts
 * for the load it was made at (below the replayed one it holds, above it steps from there); a miss above the replayed
 * load changes nothing. Null where the rule hears nothing.
 */
export function settle(
  verdict: Verdict,
  shown: Load,
  replayed: Load,
): { verdict: 'hit' | 'miss' | 'hold'; target: Load } | null {
  const moved = compareLoads(shown, replayed)
  if (verdict === 'hit')
    return moved < 0
      ? { verdict: 'hold', target: replayed }
      : { verdict: 'hit', target: moved > 0 ? shown : replayed }
  if (verdict === 'miss') return moved > 0 ? null : { verdict: 'miss', target: replayed }
  if (verdict === 'not comparable') return { verdict: 'hold', target: replayed }
  return null
}
