import { findLoad, type Found, type Try } from '@young-oak/core/maxes'
import type { SetLog, ShownSets } from '@young-oak/core/member'
import { lowest, type Load, type Makeable } from '@young-oak/core/units'
import { isTry } from './askedSets.ts'

/** Reps in reserve that the work sets are to leave, where the program does not say. */
export const usualRir = 2

/** What the tries so far have found, or the next one. */
export function foundSoFar(prescribed: ShownSets, sets: SetLog[], can: Makeable): Found {
  const tries = sets
    .filter((set) => isTry(set) && set.load && set.state === 'done')
    .sort((a, b) => a.n - b.n)
    .map(({ load, reps = 0, rir = 8 }): Try => ({ load: load as Load, reps, rir }))
  return findLoad(tries, { reps: lowest(prescribed.reps ?? 5), rir: prescribed.rir ?? usualRir }, can)
}
