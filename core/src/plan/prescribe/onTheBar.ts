import { type Loading, isDone } from '../../evidence/index.ts'
import type { Id } from '../../parsing/index.ts'
import { isSameLift, liftKey, type Lift } from '../../library/index.ts'
import { topSetStep, sayTopSet, type Felt, type Priced } from '../../loads/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { addLoad, compareLoads, lowest, scale, snap, type Load } from '../../units/index.ts'
import { make, withLoad } from './round.ts'

/**
 * A slot's prescriptions as they are asked, with what was done of them. `lift` is the one that it is asked with; `felt`, by
 * prescription, the changes in percent that have acted on its load.
 */
export type OnTheBar = {
  slot: Id
  lift: Lift
  prescriptions: ShownSets[]
  sets: SetLog[]
  felt?: Felt[]
}

/**
 * The heaviest load of the prescriptions on the bar: logged where it was done, else as asked (not with `isLifted`). Sets of another
 * lift say nothing of this one. Null where none is known.
 */
export const heaviestOf = (bar: OnTheBar, only?: Id, isLifted = false): Load | null =>
  heaviestSeen(bar, only, isLifted)?.load ?? null

/** The heaviest load with the changes that have acted on it. */
export function heaviestSeen(
  { lift, prescriptions, sets, felt }: OnTheBar,
  only?: Id,
  isLifted = false,
): { load: Load; felt?: Felt } | null {
  let heaviest: Load | null = null
  let at = 0
  let n = 0
  for (let i = 0; i < prescriptions.length; i++) {
    const prescribed = prescriptions[i] as ShownSets
    const before = n
    n += prescribed.sets
    const asked = prescribed.lift ?? lift
    if (only === undefined ? !isSameLift(asked, lift) : prescribed.prescription !== only) continue
    let isKnown = isLifted
    let load: Load | null = null
    for (const set of sets) {
      if (set.n <= before || set.n > n || !isDone(set)) continue
      const lifted = isSameLift(set, asked) ? totalOf(prescribed, set) : null
      if (lifted) load = load && compareLoads(lifted, load) < 0 ? load : lifted
      if (lifted || !isSameLift(set, asked)) isKnown = true
    }
    if (!isKnown) load = totalOf(prescribed, prescribed)
    if (!load || (heaviest && compareLoads(load, heaviest) < 0)) continue
    heaviest = load
    at = i
  }
  if (!heaviest) return null
  const acted = felt?.[at]
  return acted?.length ? { load: heaviest, felt: acted } : { load: heaviest }
}

/**
 * Reps times load of all sets of a slot, lift by lift: those that were done, or as they are asked where nothing is logged yet. Of a set
 * done one side at a time both sides count.
 */
export function tonnageOf({ lift, prescriptions, sets }: OnTheBar, isLifted: boolean): Map<string, Load> {
  const sums = new Map<string, Load>()
  const add = (of: Lift, load: Load | null, reps: number) => {
    if (!load || !reps) return
    const key = liftKey(of)
    const more = scale(load, reps * 100)
    const had = sums.get(key)
    sums.set(key, had ? addLoad(had, more) : more)
  }
  let before = 0
  for (const prescribed of prescriptions) {
    const own = sets.filter((set) => set.n > before && set.n <= before + prescribed.sets && isDone(set))
    before += prescribed.sets
    const asked = prescribed.lift ?? lift
    for (const set of own) {
      const bare = isSameLift(set, asked) ? prescribed : { load: null }
      add(set, totalOf(bare, set), repsOf(prescribed, set))
    }
    const sides = prescribed.perSide ? 2 : 1
    if (!own.length && !isLifted)
      add(asked, totalOf(prescribed, prescribed), prescribed.sets * lowest(prescribed.reps ?? 0) * sides)
  }
  return sums
}

/** Reps of a set as they count for tonnage: those of both sides where it is done one side at a time. */
function repsOf({ perSide }: ShownSets, { reps = 0, sides }: SetLog): number {
  if (!perSide) return reps
  return sides ? (sides.left?.reps ?? 0) + (sides.right?.reps ?? 0) : 2 * reps
}

/** What a load comes to: on top of body weight where that is a part of it, and nothing on top is body weight alone. */
export function totalOf(
  { body, load: isAsked }: Pick<ShownSets, 'body' | 'load'>,
  { load, help }: { load?: Load | null; help?: true },
): Load | null {
  if (!body) return load ?? null
  if (!load) return isAsked ? body : null
  return addLoad(body, load, help)
}

/**
 * The prescriptions of a session with those that follow today's top set worked out from what has been lifted so far. They alone
 * move within a session; everything else stands as it was shown.
 */
export function followToday(session: OnTheBar[], loadingOf: (slot: Id) => Loading): ShownSets[][] {
  const made: OnTheBar[] = []
  for (const { slot, lift, prescriptions, sets } of session) {
    const own: OnTheBar = { slot, lift, prescriptions: [], sets }
    made.push(own)
    for (const prescribed of prescriptions)
      own.prescriptions.push(prescribed.today ? follow(prescribed, made, own, loadingOf(slot)) : prescribed)
  }
  return made.map(({ prescriptions }) => prescriptions)
}

function follow(prescribed: ShownSets, before: OnTheBar[], own: OnTheBar, loading: Loading): ShownSets {
  const {
    percent,
    drop,
    scale: by = 100,
    most,
    slot,
    prescription: only,
    way,
  } = prescribed.today as NonNullable<ShownSets['today']>
  const read = slot === undefined ? own : before.find((one) => one.slot === slot)
  const top = read ? heaviestOf(read, only, true) : null
  if (!top) return prescribed
  const minus = drop && { value: drop[top.unit], unit: top.unit }
  const target = less(scale(top, percent), minus)
  const whole = scale(target, by)
  const meant = most && compareLoads(whole, most) > 0 ? most : whole
  const made = make(meant, prescribed.body ? { ...loading, body: prescribed.body } : loading, way)
  const opening = prescribed.why.findIndex(({ id }) => id.startsWith('topSet.'))
  const why = [
    ...prescribed.why.slice(0, Math.max(0, opening)),
    sayTopSet('topSet.done', { load: top }),
    topSetStep(percent, minus),
    ...(by === 100 ? [] : [sayTopSet('topSet.changed', { percent: by, load: whole })]),
    ...(meant === whole ? [] : [sayTopSet('topSet.most', { load: meant })]),
    ...made.steps,
  ]
  return { ...withLoad(prescribed, made), target, why }
}

/** A load with what is added to it, or taken off it. */
export const shifted = (load: Load, { plus, minus }: Pick<Priced, 'plus' | 'minus'>): Load =>
  plus ? addLoad(load, plus) : less(load, minus)

/** A load less another, never below nothing. */
const less = (load: Load, minus: Load | undefined): Load =>
  minus ? { value: Math.max(0, snap(load.value - minus.value)), unit: load.unit } : load
