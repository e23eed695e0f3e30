import { topSetRung } from '../loads/topSetRung.ts'
import type { SetLog, ShownGroup } from '../member/types.ts'
import type { Id } from '../template/types.ts'
import { scale, snap, type Load } from '../units/index.ts'
import { isDone } from './evidence.ts'
import { heavier } from './progress.ts'
import { make, type Loading } from './round.ts'

/** A slot's groups as they are asked, with what was done of them. */
export type OnTheBar = { slot: Id; groups: ShownGroup[]; sets: SetLog[] }

/**
 * The heaviest load of the groups on the bar: logged where it was done, else as asked (not with `isLifted`). Null where none is
 * known.
 */
export function heaviestOf({ groups, sets }: OnTheBar, only?: Id, isLifted = false): Load | null {
  let heaviest: Load | null = null
  let n = 0
  for (const { group, sets: count, load } of groups) {
    const own = sets.filter((set) => set.n > n && set.n <= n + count && set.load && isDone(set))
    n += count
    if (only !== undefined && group !== only) continue
    if (own.length) for (const set of own) heaviest = heavier(heaviest, set.load as Load)
    else if (load && !isLifted) heaviest = heavier(heaviest, load)
  }
  return heaviest
}

/**
 * The groups of a session with those that follow today's top set worked out from what has been lifted so far. They alone
 * move within a session; everything else stands as it was shown.
 */
export function followToday(session: OnTheBar[], loadingOf: (slot: Id) => Loading): ShownGroup[][] {
  const made: OnTheBar[] = []
  for (const { slot, groups, sets } of session) {
    const own: OnTheBar = { slot, groups: [], sets }
    made.push(own)
    for (const group of groups)
      own.groups.push(group.today ? follow(group, made, own, loadingOf(slot)) : group)
  }
  return made.map(({ groups }) => groups)
}

function follow(group: ShownGroup, before: OnTheBar[], own: OnTheBar, loading: Loading): ShownGroup {
  const { percent, drop, slot, group: only, way } = group.today as NonNullable<ShownGroup['today']>
  const read = slot === undefined ? own : before.find((one) => one.slot === slot)
  const top = read ? heaviestOf(read, only, true) : null
  if (!top) return group
  const minus = drop && { value: drop[top.unit], unit: top.unit }
  const meant = less(scale(top, percent), minus)
  const { rungs, load, side, short } = make(meant, loading, way)
  const { short: _, side: __, ...rest } = group
  return {
    ...rest,
    target: meant,
    load,
    ...(side && { side }),
    ...(short && { short }),
    why: [{ id: 'topSet.done', data: { load: top } }, topSetRung(percent, minus), ...rungs],
  }
}

/** A load less another, never below nothing. */
export const less = (load: Load, minus: Load | undefined): Load =>
  minus ? { value: Math.max(0, snap(load.value - minus.value)), unit: load.unit } : load
