import { lastAtOrBelow, round, scale, type Load, type Makeable } from '../units/index.ts'
import { estimate, mostRir } from './estimate.ts'
import { defaultFormula } from './registry.ts'
import { mostTableReps, percentFor, type RepTable } from './table.ts'

/** A set on the way up, with how many more reps there would have been. */
export type Try = { load: Load; reps: number; left: number }

/** What the load is to allow: so many reps with so many left. */
export type Effort = { reps: number; left: number }

/** The next load to try, or the one that was found. */
export type Found = { load: Load; isFound: boolean }

/**
 * No step up is larger than this, in percent of the load, unless it is the smallest one that can be made: after five reps with eight
 * left the load is about 67% of the max, a fifth more leaves three; with five left it is 75%, and a tenth more leaves two (handbook).
 */
const largestStep = (left: number): number => (left >= 8 ? 20 : 10)

/**
 * Finds a load for somebody whose max is not known, by ramping up to a stated effort: the lightest load first (the empty bar), then
 * up by at most a tenth, or a fifth where eight were left, as long as more was left than is asked. What four or fewer left tell of the
 * max sets the next step; more tell nothing but that it was light. The load is found when the step that is due cannot be made, or as little was left as asked.
 * It stays or falls then: 60 kg × 5 with none left, where two are asked, is found at 55 kg (Epley 70 kg, 83% for 7 reps: 58.1, down).
 */
export function findLoad(tries: Try[], asked: Effort, can: Makeable, table: RepTable = 'handbook'): Found {
  const last = tries[tries.length - 1]
  if (!last) return { load: { value: can.loads[0] ?? 0, unit: can.unit }, isFound: false }
  const most = upTo(scale(last.load, 100 + largestStep(last.left)), last.load, can)
  if (last.left > mostRir) return { load: most, isFound: most.value === last.load.value }
  const max = estimate(last.load, last.reps, defaultFormula, last.left)
  if (!max) return { load: most, isFound: false }
  const reps = Math.min(asked.reps + asked.left, mostTableReps)
  const wanted = round(scale(max, percentFor(table, reps)), can, 'down').load
  if (last.left <= asked.left) {
    const stays = last.left === asked.left || wanted.value >= last.load.value
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
