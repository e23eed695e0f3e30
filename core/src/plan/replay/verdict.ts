import type { Because } from '../../progressions/index.ts'
import type { Verdict } from '../state/fold.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { limits, type Circuit } from '../../template/index.ts'
import { isReachedInAll, kindOf } from '../../goals/index.ts'
import { compareLoads, lowest } from '../../units/index.ts'
import { isSameLift, type Lift } from '../../library/index.ts'
import { isDone } from '../../evidence/index.ts'
import { totalOf } from '../prescribe/onTheBar.ts'

/** What became of a slot; of one that is not comparable, why. */
export type Judged = { verdict: Verdict; because?: Because }

/**
 * Compares the prescribed sets, in order, with what was shown. A hit meets every one; a miss was attempted and fell short; nothing
 * attempted is a skip; zero reps in a set that is not marked failed counts as not done. Extra sets count for nothing here. A circuit is
 * scored, and done is a hit.
 *
 * Not comparable is what proves neither a step nor a miss: another lift than the one shown, less because of plates, or a hit but for help,
 * part of the range, bands, or a lighter load that was chosen. Help counts only beyond the reps that were a lifter's own, and range and bands
 * only where they were not asked. `sets` are the slot's, by number.
 */
export function judge(
  lift: Lift & { circuit?: Circuit },
  prescriptions: ShownSets[],
  sets: SetLog[],
  deload: boolean,
): Judged {
  if (!sets.some((set) => isDone(set) || set.state === 'failed')) return { verdict: 'skip' }
  if (deload) return { verdict: 'deload' }
  if (lift.circuit) return { verdict: sets.some(isDone) ? 'hit' : 'miss' }
  const counting = sets.some((set) => set.extra) ? sets.filter((set) => !set.extra) : sets
  if (counting.some((set) => !isSameLift(set, lift))) return notComparable('otherLift')
  if (prescriptions.some(({ missing }) => missing)) return notComparable('noLoad')
  if (prescriptions.some(({ short }) => short)) return notComparable('equipment')
  if (meetsAll(prescriptions, counting)) return { verdict: 'hit' }
  const aided = prescriptions.map((prescribed) => asIfUnaided(prescribed, counting, prescriptions)).flat()
  if (!meetsAll(prescriptions, aided, true)) return { verdict: 'miss' }
  return notComparable(reasonOf(prescriptions, counting))
}

const notComparable = (because: Because): Judged => ({ verdict: 'not comparable', because })

/** Whether every prescription is met; at any load, to tell a lighter one that was chosen from one that was missed. */
function meetsAll(prescriptions: ShownSets[], sets: SetLog[], atAnyLoad = false): boolean {
  let n = 0
  for (const prescribed of prescriptions) {
    if (!meetsSets(prescribed, sets, n, atAnyLoad)) return false
    n += prescribed.sets
  }
  return true
}

/** The sets of a prescription as they would be had nobody helped, the range been whole and no band hung on the bar. */
function asIfUnaided(prescribed: ShownSets, sets: SetLog[], prescriptions: ShownSets[]): SetLog[] {
  return setsOf(prescriptions, prescribed, sets).map((set) => {
    if (!set.assisted && !set.partial && set.bands === prescribed.bands) return set
    const { assisted: _, partial: __, bands: ___, ...rest } = set
    return prescribed.bands === undefined ? rest : { ...rest, bands: prescribed.bands }
  })
}

/** Why sets that would be a hit otherwise are none. */
function reasonOf(prescriptions: ShownSets[], sets: SetLog[]): Because {
  for (const prescribed of prescriptions)
    for (const set of setsOf(prescriptions, prescribed, sets)) {
      if (set.assisted) return 'helped'
      if (isPartial(prescribed, set)) return 'partial'
      if (isBanded(prescribed, set)) return 'banded'
      if (prescribed.load && !totalOf(prescribed, set)) return 'noLoad'
    }
  return 'lighter'
}

const isPartial = ({ style }: ShownSets, { partial }: SetLog): boolean =>
  partial === true && style !== 'partial'
const isBanded = ({ bands }: ShownSets, set: SetLog): boolean =>
  set.bands !== undefined && bands === undefined

/** The logged sets of a prescription, by their numbers. */
export function setsOf(prescriptions: ShownSets[], prescribed: ShownSets, done: SetLog[]): SetLog[] {
  let before = 0
  for (const one of prescriptions) {
    if (one === prescribed) break
    before += one.sets
  }
  return setsBetween(done, before, mostSets(prescribed))
}

/** The sets that count for a prescription: where as many as it takes are asked, which a slot's last line may, as many as a line can have. */
const mostSets = ({ goal, sets }: ShownSets): number => (goal && 'anySets' in goal ? limits.sets : sets)

/** Whether the sets of a prescription, numbered from the one after `before`, reach what was asked; those beyond `least` are free. */
function meetsSets(prescribed: ShownSets, sets: SetLog[], before: number, atAnyLoad: boolean): boolean {
  const { goal } = prescribed
  const kind = goal && kindOf(goal)
  if (goal && kind?.inAll) {
    const own = setsBetween(sets, before, mostSets(prescribed)).filter(isDone)
    return isReachedInAll(goal, own.map(ownReps)) && own.every((set) => isFull(prescribed, set, atAnyLoad))
  }
  const total = prescribed.byRule?.total
  if (total !== undefined)
    return meetsTotal(prescribed, total, setsBetween(sets, before, prescribed.sets), atAnyLoad)
  for (let n = before + 1; n <= before + (prescribed.least ?? prescribed.sets); n++)
    if (!meets(prescribed, setOf(sets, n), atAnyLoad)) return false
  return true
}

const setsBetween = (sets: SetLog[], before: number, count: number): SetLog[] =>
  sets.filter(({ n }) => n > before && n <= before + count)

/**
 * By a total no set counts by itself. It is a hit that adds load, or one that adds nothing yet: so many reps as the bottoms of the range come
 * to are enough not to fall short.
 */
function meetsTotal(prescribed: ShownSets, total: number, sets: SetLog[], atAnyLoad: boolean): boolean {
  const done = sets.filter((set) => isDone(set) || set.state === 'failed').map(ownReps)
  const least = Math.min(total, lowest(prescribed.reps ?? 1) * prescribed.sets)
  const sum = done.reduce((all, { reps = 0 }) => all + reps, 0)
  return sum >= least && done.every((set) => isFull(prescribed, set, atAnyLoad))
}

/** The set of a number: most often the one at its place. */
const setOf = (sets: SetLog[], n: number): SetLog | undefined =>
  sets[n - 1]?.n === n ? sets[n - 1] : sets.find((set) => set.n === n)

/** A set with the reps that were done without help; of two sides the weaker one's. */
export function ownReps(set: SetLog): SetLog {
  const { reps, assisted = 0, sides } = set
  const weaker = sides && Math.min(sides.left?.reps ?? Infinity, sides.right?.reps ?? Infinity)
  const done = weaker !== undefined && Number.isFinite(weaker) ? weaker : reps
  return assisted || done !== reps ? { ...set, reps: Math.max(0, (done ?? 0) - assisted) } : set
}

function meets(prescribed: ShownSets, set: SetLog | undefined, atAnyLoad: boolean): boolean {
  if (!set || !isDone(set)) return false
  const { reps, goal, option } = prescribed
  const share = option && set.option ? option.percent : 100
  const least = Math.ceil((lowest(reps ?? 1) * share) / 100)
  const own = ownReps(set)
  const isReached = goal ? kindOf(goal).meets(goal, own) : (own.reps ?? 0) >= least
  return isReached && isFull(prescribed, set, atAnyLoad)
}

/** At the load asked or more, through the range and without the bands that were not asked. */
const isFull = (prescribed: ShownSets, set: SetLog, atAnyLoad: boolean): boolean =>
  !isPartial(prescribed, set) && !isBanded(prescribed, set) && (atAnyLoad || isHeavyEnough(prescribed, set))

function isHeavyEnough(prescribed: ShownSets, set: SetLog): boolean {
  if (!prescribed.load) return true
  const asked = totalOf(prescribed, prescribed)
  const lifted = totalOf(prescribed, set)
  if (!asked) return true
  return lifted !== null && compareLoads(lifted, asked) >= 0
}
