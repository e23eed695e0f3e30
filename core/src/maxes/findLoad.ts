import { lastAtOrBelow, round, scale, type Load, type Makeable } from '../units/index.ts'
import { estimate, mostRir } from './estimate.ts'
import { defaultFormula } from './registry.ts'
import { mostTableReps, percentFor, type RepTable } from './table.ts'

/** A set on the way up, with how many more reps there would have been. */
export type Try = { load: Load; reps: number; rir: number }

/** What the load is to allow: so many reps at so much RIR. */
export type Effort = { reps: number; rir: number }

/** The next load to try, or the one that was found. */
export type Found = { load: Load; isFound: boolean }

/**
 * No step up is larger than this, in percent of the load, unless it is the smallest one that can be made: after five reps at 8 RIR
 * the load is about 67% of the max, and a fifth more leaves 3; at 5 RIR it is 75%, and a tenth more leaves 2 (handbook).
 */
const largestStep = (rir: number): number => (rir >= 8 ? 20 : 10)

/**
 * Finds a load for somebody whose max is not known, by ramping up to a stated effort: the lightest load first (the empty bar), then
 * up by at most a tenth, or a fifth from 8 RIR on, as long as the RIR is above what is asked. At 4 RIR or fewer the set tells the max, which sets the
 * next step; above, it tells only that it was light. The load is found when the step that is due cannot be made, or the RIR is as asked.
 * It stays or falls then: 60 kg × 5 @ 0 RIR, where 2 RIR are asked, is found at 55 kg (Epley 70 kg, 83% for 7 reps: 58.1, down).
 */
export function findLoad(tries: Try[], asked: Effort, can: Makeable, table: RepTable = 'handbook'): Found {
  const last = tries[tries.length - 1]
  if (!last) return { load: { value: can.loads[0] ?? 0, unit: can.unit }, isFound: false }
  const most = upTo(scale(last.load, 100 + largestStep(last.rir)), last.load, can)
  if (last.rir > mostRir) return { load: most, isFound: most.value === last.load.value }
  const max = estimate(last.load, last.reps, defaultFormula, last.rir)
  if (!max) return { load: most, isFound: false }
  const reps = Math.min(asked.reps + asked.rir, mostTableReps)
  const wanted = round(scale(max, percentFor(table, reps)), can, 'down').load
  if (last.rir <= asked.rir) {
    const stays = last.rir === asked.rir || wanted.value >= last.load.value
    return { load: stays ? last.load : wanted, isFound: true }
  }
  const next = wanted.value > most.value ? most : wanted
  return next.value <= last.load.value ? { load: last.load, isFound: true } : { load: next, isFound: false }
}

/** The heaviest load at or below `most`, but at least one step above `from`; `from` itself where there is nothing heavier. */
function upTo(most: Load, from: Load, { loads, unit }: Makeable): Load {
  const at = Math.max(lastAtOrBelow(loads, most.value), lastAtOrBelow(loads, from.value) + 1)
  return { value: loads[Math.min(at, loads.length - 1)] ?? from.value, unit }
}
