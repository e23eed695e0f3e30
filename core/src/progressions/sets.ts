import { compareLoads, formatLoad } from '../units/index.ts'
import type { SetSeen } from './rule.ts'

/** The heaviest set, of as heavy ones that with the most reps; its RIR is what was asked where none was noted. */
export function bestSet(sets: SetSeen[], asked: number): SetSeen | undefined {
  let best: SetSeen | undefined
  for (const set of sets) {
    if (!set.load) continue
    const apart = best?.load ? compareLoads(set.load, best.load) : 1
    if (apart > 0 || (apart === 0 && set.reps > (best?.reps ?? 0))) best = { rir: asked, ...set }
  }
  return best
}

/** Whether a set beats another without any formula: as many reps with more load, or more reps with as much, at the same RIR or less. */
export function beats(set: SetSeen, before: SetSeen, asked: number): boolean {
  if (!set.load || !before.load || (set.rir ?? asked) > (before.rir ?? asked)) return false
  const apart = compareLoads(set.load, before.load)
  return (apart > 0 && set.reps >= before.reps) || (apart === 0 && set.reps > before.reps)
}

export const saySet = ({ load, reps, rir }: SetSeen): string =>
  `${load ? formatLoad(load) : ''} × ${reps}${rir === undefined ? '' : ` @ ${rir} RIR`}`
