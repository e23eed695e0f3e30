import { type Loading, isDone } from '../../evidence/index.ts'
import type { Id } from '../../parsing/index.ts'
import { topSetStep, sayTopSet } from '../../loads/index.ts'
import type { SetLog, ShownSets } from '../../member/index.ts'
import { addLoad, lowest, scale, snap, type Load, heavier } from '../../units/index.ts'
import { make, withLoad } from './round.ts'

/** A slot's prescriptions as they are asked, with what was done of them. */
export type OnTheBar = { slot: Id; prescriptions: ShownSets[]; sets: SetLog[]; lift?: string }

/**
 * The heaviest load of the prescriptions on the bar: logged where it was done, else as asked (not with `isLifted`). Null where none is
 * known.
 */
export function heaviestOf({ prescriptions, sets }: OnTheBar, only?: Id, isLifted = false): Load | null {
  let heaviest: Load | null = null
  let n = 0
  for (const prescribed of prescriptions) {
    const { sets: count } = prescribed
    const own = sets.filter((set) => set.n > n && set.n <= n + count && isDone(set))
    n += count
    if (only !== undefined && prescribed.prescription !== only) continue
    const lifted = own.flatMap((set) => totalOf(prescribed, set) ?? [])
    const asked = isLifted || lifted.length ? null : totalOf(prescribed, prescribed)
    for (const load of asked ? [asked] : lifted) heaviest = heavier(heaviest, load)
  }
  return heaviest
}

/** Reps times load of all sets of a slot: those that were done, or as they are asked where nothing is logged yet. */
export function tonnageOf({ prescriptions, sets }: OnTheBar, isLifted: boolean): Load | null {
  let sum: Load | null = null
  const add = (load: Load | null, reps: number) => {
    if (!load || !reps) return
    const more = scale(load, reps * 100)
    sum = sum ? addLoad(sum, more) : more
  }
  let before = 0
  for (const prescribed of prescriptions) {
    const own = sets.filter((set) => set.n > before && set.n <= before + prescribed.sets && isDone(set))
    before += prescribed.sets
    for (const set of own) add(totalOf(prescribed, set), set.reps ?? 0)
    if (!own.length && !isLifted)
      add(totalOf(prescribed, prescribed), prescribed.sets * lowest(prescribed.reps ?? 0))
  }
  return sum
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
  for (const { slot, prescriptions, sets } of session) {
    const own: OnTheBar = { slot, prescriptions: [], sets }
    made.push(own)
    for (const prescribed of prescriptions)
      own.prescriptions.push(prescribed.today ? follow(prescribed, made, own, loadingOf(slot)) : prescribed)
  }
  return made.map(({ prescriptions }) => prescriptions)
}

function follow(prescribed: ShownSets, before: OnTheBar[], own: OnTheBar, loading: Loading): ShownSets {
  const { percent, drop, slot, prescription: only, way } = prescribed.today as NonNullable<ShownSets['today']>
  const read = slot === undefined ? own : before.find((one) => one.slot === slot)
  const top = read ? heaviestOf(read, only, true) : null
  if (!top) return prescribed
  const minus = drop && { value: drop[top.unit], unit: top.unit }
  const meant = less(scale(top, percent), minus)
  const made = make(meant, prescribed.body ? { ...loading, body: prescribed.body } : loading, way)
  const why = [sayTopSet('topSet.done', { load: top }), topSetStep(percent, minus), ...made.steps]
  return { ...withLoad(prescribed, made), target: meant, why }
}

/** A load less another, never below nothing. */
export const less = (load: Load, minus: Load | undefined): Load =>
  minus ? { value: Math.max(0, snap(load.value - minus.value)), unit: load.unit } : load
