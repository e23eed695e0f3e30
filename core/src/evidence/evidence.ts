import type { SessionLog, SetLog } from '../member/index.ts'
import { exerciseOf, liftKey, type Library } from '../library/index.ts'
import type { MaxInForce } from '../loads/index.ts'
import type { TopSet } from '../progressions/index.ts'
import { isDoubtful } from '../maxes/index.ts'
import { maxOf, nothingLearned, type Learned } from '../facts/index.ts'
import { addLoad, compareLoads, type Day, type Load } from '../units/index.ts'

/**
 * What is known of a member on a day, folded from facts and logs alone: it knows no template, so two programs share one
 * max history. Small plain JSON, never changed in place.
 */
export type Evidence = Learned & Lessons

/** What sessions teach, by lift. */
export type Lessons = { last: Record<string, LastTime>; estimates: Record<string, EstimateSeen> }

/** The sets of a lift's latest session, in order. */
export type LastTime = { date: Day; sets: Pick<SetLog, 'load' | 'help' | 'reps' | 'amount' | 'rir'>[] }

/** The best estimate of a lift's latest session: a proposal, until somebody accepts it. */
export type EstimateSeen = { load: Load; date: Day; from: SetSeen }

/** A set that a max comes from. */
export type SetSeen = Omit<NonNullable<MaxInForce['from']>, 'formula'>

export const noEvidence: Evidence = { ...nothingLearned, last: {}, estimates: {} }

export function learnSession(library: Library, known: Evidence, log: SessionLog): Evidence {
  const { last, estimates } = lessonsOf(library, log, known.body?.load)
  return { ...known, last: { ...known.last, ...last }, estimates: { ...known.estimates, ...estimates } }
}

/** What a session teaches, whatever else was known before than the body's weight. */
function lessonsOf(library: Library, log: SessionLog, body: Load | undefined): Lessons {
  const known = lessons.get(log)
  if (known?.library === library && known.body === body) return known.learned
  const learned: Lessons = { last: {}, estimates: {} }
  for (const [key, sets] of byLift(log)) {
    learned.last[key] = { date: log.date, sets: sets.map(lastSet) }
    const best = bestEstimate(library, sets, log, body)
    if (best) learned.estimates[key] = best
  }
  lessons.set(log, { library, body, learned })
  return learned
}

/** A log that has been read is never changed in place, so what it teaches is kept beside it. */
const lessons = new WeakMap<SessionLog, { library: Library; body: Load | undefined; learned: Lessons }>()

function byLift(log: SessionLog): Map<string, SetLog[]> {
  const lifts = new Map<string, SetLog[]>()
  for (const set of log.sets.filter(isDone).sort((a, b) => (a.slot === b.slot ? a.n - b.n : 0))) {
    const key = liftKey(set)
    const own = lifts.get(key)
    if (own) own.push(set)
    else lifts.set(key, [set])
  }
  return lifts
}

function lastSet({ load, help, reps, amount, rir }: SetLog): LastTime['sets'][number] {
  const set: LastTime['sets'][number] = {}
  if (load) set.load = load
  if (help) set.help = help
  if (reps !== undefined) set.reps = reps
  if (amount) set.amount = amount
  if (rir !== undefined) set.rir = rir
  return set
}

/** Done, with at least one rep: a done set of zero reps counts as not done until somebody says what it was. */
export const isDone = (set: SetLog): boolean => set.state === 'done' && set.reps !== 0

/** Whether a set says something about a max: its own reps, the whole range, no bands, no pain, and not too many reps. */
const isMeasure = ({ reps = 0, rir, assisted, bands, partial, pain, style, option }: SetLog): boolean =>
  !assisted &&
  !option &&
  bands === undefined &&
  !partial &&
  !pain &&
  (style === undefined || style === 'ramp' || style === 'drop') &&
  !isDoubtful(reps, rir)

function bestEstimate(
  library: Library,
  sets: SetLog[],
  log: SessionLog,
  body: Load | undefined,
): EstimateSeen | null {
  let best: EstimateSeen | null = null
  for (const set of sets) {
    const { reps, rir, help, slot } = set
    const isOnBody = exerciseOf(library, set).tool === 'body weight'
    const load = set.load ?? (isOnBody && body ? { value: 0, unit: body.unit } : undefined)
    if (!load || !reps || (isOnBody && !body)) continue
    if (log.shown?.slots[slot]?.deload || !isMeasure(set)) continue
    const seen = maxOf({ load, help, reps, rir }, isOnBody ? body : undefined)
    if (seen?.value && (!best || compareLoads(seen, best.load) > 0))
      best = {
        load: seen,
        date: log.date,
        from: { load, reps, ...(rir && { rir }), ...(help && { help }), ...(isOnBody && { body }) },
      }
  }
  return best
}

/** The set that says most about the max; null where none says anything. Body weight is part of the load where it is given. */
export function topSet(sets: SetLog[], body: Load | undefined): TopSet | null {
  let best: TopSet | null = null
  for (const set of sets) {
    const { reps, rir, help } = set
    const load = set.load ?? (body ? { value: 0, unit: body.unit } : undefined)
    if (!load || !reps || !isMeasure(set)) continue
    const seen = maxOf({ load, help, reps, rir }, body)
    if (!seen?.value || (best && compareLoads(seen, best.estimate) <= 0)) continue
    const whole = body ? addLoad(body, load, help) : load
    best = { load: whole, reps, ...(rir !== undefined && { rir }), estimate: seen }
  }
  return best
}
