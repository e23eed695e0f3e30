import { liftKey, type Lift } from '../library/index.ts'
import type { MaxInForce } from '../loads/source.ts'
import { estimate } from '../maxes/estimate.ts'
import { defaultFormula } from '../maxes/registry.ts'
import type { Fact, MaxFact, SessionLog, SetLog } from '../member/types.ts'
import type { Id } from '../template/types.ts'
import { compareLoads, type Day, type Fixed, type Load, type Rack, type Unit } from '../units/index.ts'

/**
 * What is known of a member on a day, folded from facts and logs alone: it knows no template, so two programs share one
 * max history. Small plain JSON, never changed in place.
 */
export type Evidence = {
  unit: Unit
  home: Id
  equipment: Record<Id, Equipment>
  maxes: Record<string, MaxInForce>
  last: Record<string, LastTime>
  estimates: Record<string, EstimateSeen>
}

/** What a place has: one rack a unit, and what comes in fixed loads. */
export type Equipment = { racks: Rack[]; fixed?: Fixed[] }

/** The sets of a lift's latest session, in order. */
export type LastTime = { date: Day; sets: { load?: Load; reps: number; rir?: number }[] }

/** The best estimate of a lift's latest session: a proposal, until somebody accepts it. */
export type EstimateSeen = { load: Load; date: Day; from: { load: Load; reps: number } }

export const noEvidence: Evidence = {
  unit: 'kg',
  home: 'home',
  equipment: {},
  maxes: {},
  last: {},
  estimates: {},
}

export function learnFact(known: Evidence, fact: Fact): Evidence {
  switch (fact.kind) {
    case 'unit':
      return { ...known, unit: fact.unit }
    case 'home':
      return { ...known, home: fact.place }
    case 'equipment':
      return {
        ...known,
        equipment: { ...known.equipment, [fact.place]: { racks: fact.racks, fixed: fact.fixed } },
      }
    case 'max':
      return learnMax(known, fact, fact.date)
  }
}

/** The newest accepted max is in force; one that is dated before it (entered late) changes nothing. */
function learnMax(known: Evidence, fact: MaxFact, date: Day): Evidence {
  const key = liftKey(fact)
  const had = known.maxes[key]
  const load = maxOf(fact)
  if (!load || (had && had.date > date)) return known
  const from =
    fact.reps > 1 ? { load: fact.load, reps: fact.reps, formula: fact.formula ?? defaultFormula } : undefined
  return { ...known, maxes: { ...known.maxes, [key]: { load, date, how: fact.how, ...(from && { from }) } } }
}

/** The one-rep max that a fact states, or null where its set gives none. */
export function maxOf({ load, reps, formula }: Pick<MaxFact, 'load' | 'reps' | 'formula'>): Load | null {
  return estimate(load, reps, formula ?? defaultFormula)
}

export function learnSession(known: Evidence, log: SessionLog): Evidence {
  const done = log.sets.filter(isDone).sort((a, b) => (a.slot === b.slot ? a.n - b.n : 0))
  const lifts = new Map<string, SetLog[]>()
  for (const set of done) lifts.set(liftKey(set), [...(lifts.get(liftKey(set)) ?? []), set])
  const last = { ...known.last }
  const estimates = { ...known.estimates }
  for (const [key, sets] of lifts) {
    last[key] = { date: log.date, sets: sets.map(({ load, reps = 0, rir }) => ({ load, reps, rir })) }
    const best = bestEstimate(sets, log)
    if (best) estimates[key] = best
  }
  return { ...known, last, estimates }
}

/** Done, with at least one rep: a done set of zero reps counts as not done until somebody says what it was. */
export const isDone = (set: SetLog): boolean => set.state === 'done' && set.reps !== 0

function bestEstimate(sets: SetLog[], log: SessionLog): EstimateSeen | null {
  let best: EstimateSeen | null = null
  for (const { load, reps, rir, slot } of sets) {
    if (!load || !reps || log.shown?.slots[slot]?.light) continue
    const seen = estimate(load, reps, defaultFormula, rir)
    if (seen && (!best || compareLoads(seen, best.load) > 0))
      best = { load: seen, date: log.date, from: { load, reps } }
  }
  return best
}

export const maxFor = (known: Evidence, lift: Lift): MaxInForce | null => known.maxes[liftKey(lift)] ?? null
