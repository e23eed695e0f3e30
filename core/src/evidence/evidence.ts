import type { SessionLog, SetLog } from '../member/index.ts'
import type { Id } from '../parsing/index.ts'
import { exerciseOf, liftKey, type Library } from '../library/index.ts'
import type { MaxInForce } from '../loads/index.ts'
import type { TopSet } from '../progressions/index.ts'
import { isDoubtful } from '../maxes/index.ts'
import { maxOf, type Learned } from '../facts/index.ts'
import { addDays, addLoad, compareLoads, type Day, type Load } from '../units/index.ts'

/**
 * What is known of a member on a day, folded from facts and logs alone: it knows no template, so two programs share one
 * max history. Small plain JSON, never changed in place.
 */
export type Evidence = Learned & Lessons

/** What sessions teach, by lift. */
export type Lessons = {
  last: Record<string, LastTime>
  /** The highest estimate that nobody has answered. */
  estimates: Record<string, EstimateSeen>
  /** The estimate of the latest session. */
  recent: Record<string, EstimateSeen>
  /** The latest day with a set, of any program or none, and how many days running it ends. */
  trainedOn: { day: Day; running: number } | null
}

/** The sets of a lift's latest session, in order, with those that failed. */
export type LastTime = {
  date: Day
  sets: (Pick<SetLog, 'load' | 'help' | 'reps' | 'amount' | 'rir'> & { failed?: true })[]
}

/**
 * The best estimate of a lift's session: a proposal, until somebody answers it by a max of that day or later. `atLeast` where the set was stopped as asked and
 * nobody said how many more reps there were: the max is no less.
 */
export type EstimateSeen = { load: Load; date: Day; from: SetSeen; atLeast?: true }

/** A set that a max comes from. */
export type SetSeen = Omit<NonNullable<MaxInForce['from']>, 'formula'>

/**
 * `deloads`: slots that were a deload by the plan of the day, where nothing that was shown says so. What the session teaches is worked out once for
 * whoever keeps it (`kept`), and again only where something else was known of the body.
 */
export function learnSession(
  library: Library,
  known: Evidence,
  log: SessionLog,
  deloads: readonly Id[] = [],
  kept: { taught?: Taught } = {},
): Evidence {
  const body = known.body?.load
  const light = deloads.join()
  const { taught } = kept
  const isSame = taught?.library === library && taught.body === body && taught.light === light
  const { last, recent } = isSame ? taught.learned : lessonsOf(library, log, body, deloads)
  if (!isSame) kept.taught = { library, body, light, learned: { last, recent } }
  let { estimates } = known
  for (const key in recent) {
    const seen = recent[key] as EstimateSeen
    const before = estimates[key]
    const answer = known.maxes[key]?.at(-1)
    const isOpen = before && (!answer || answer.date < before.date)
    if (isOpen && compareLoads(seen.load, before.load) <= 0) continue
    if (estimates === known.estimates) estimates = { ...estimates }
    estimates[key] = seen
  }
  const next = { ...known }
  next.last = merged(known.last, last)
  next.estimates = estimates
  next.recent = merged(known.recent, recent)
  next.trainedOn = trainedOn(known.trainedOn, log)
  return next
}

function trainedOn(known: Lessons['trainedOn'], { date, sets }: SessionLog): Lessons['trainedOn'] {
  if (known?.day === date || !sets.some(isDone)) return known
  return { day: date, running: known?.day === addDays(date, -1) ? known.running + 1 : 1 }
}

/** One after the other: objects that are spread into each other are slow. */
function merged<T>(known: Record<string, T>, more: Record<string, T>): Record<string, T> {
  const made = { ...known }
  for (const key in more) made[key] = more[key] as T
  return made
}

type Learning = Pick<Lessons, 'last' | 'recent'>

/** What a session taught, and what it was worked out from beside its sets. */
export type Taught = { library: Library; body: Load | undefined; light: string; learned: Learning }

/** What a session teaches, whatever else was known before than the body's weight. */
function lessonsOf(
  library: Library,
  log: SessionLog,
  body: Load | undefined,
  deloads: readonly Id[],
): Learning {
  const isDeload = ({ slot }: SetLog) => log.shown?.slots[slot]?.deload === true || deloads.includes(slot)
  const learned: Learning = { last: {}, recent: {} }
  for (const [key, sets] of byLift(log)) {
    const normal = sets.filter((set) => !isDeload(set))
    if (normal.length) learned.last[key] = { date: log.date, sets: normal.map(lastSet) }
    const best = bestEstimate(library, normal, log, body)
    if (best) learned.recent[key] = best
  }
  return learned
}

/** The sets that were attempted, by lift, in the order of the session: in whatever order they were logged. */
function byLift(log: SessionLog): Map<string, SetLog[]> {
  const lifts = new Map<string, SetLog[]>()
  const order = Object.keys(log.shown?.slots ?? {})
  const tried = log.sets.filter((set) => isDone(set) || set.state === 'failed')
  for (const set of tried.sort((a, b) => bySlot(order, a, b) || a.n - b.n || (a.id < b.id ? -1 : 1))) {
    const key = liftKey(set)
    const own = lifts.get(key)
    if (own) own.push(set)
    else lifts.set(key, [set])
  }
  return lifts
}

/** In the order in which slots were shown; those that were not, behind, by id. */
function bySlot(order: string[], { slot: a }: SetLog, { slot: b }: SetLog): number {
  if (a === b) return 0
  const [at, bt] = [order.indexOf(a), order.indexOf(b)]
  if (at < 0 || bt < 0) return at < 0 && bt < 0 ? (a < b ? -1 : 1) : bt - at
  return at - bt
}

function lastSet({ load, help, reps, amount, rir, state }: SetLog): LastTime['sets'][number] {
  const set: LastTime['sets'][number] = {}
  if (state === 'failed') set.failed = true
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
    const { reps, rir, help } = set
    const isOnBody = exerciseOf(library, set).tool === 'body weight'
    const load = set.load ?? (isOnBody && body ? { value: 0, unit: body.unit } : undefined)
    if (!load || !reps || (isOnBody && !body)) continue
    if (!isMeasure(set)) continue
    const seen = maxOf({ load, help, reps, rir }, isOnBody ? body : undefined)
    if (!seen?.value || (best && compareLoads(seen, best.load) <= 0)) continue
    const from: SetSeen = { load, reps }
    if (rir) from.rir = rir
    if (help) from.help = help
    if (isOnBody && body) from.body = body
    best = { load: seen, date: log.date, from }
    if (!isToTheLimit(log, set)) best.atLeast = true
  }
  return best
}

/** Whether a set tells how much there was: with its RIR stated, failed, a test, or for as many reps as possible. */
export function isToTheLimit(log: Pick<SessionLog, 'shown'>, { slot, n, rir, state }: SetLog): boolean {
  if (rir !== undefined || state === 'failed') return true
  let before = 0
  for (const prescribed of log.shown?.slots[slot]?.sets ?? []) {
    const { sets, kind, amrap } = prescribed
    before += sets
    if (n > before) continue
    return kind === 'test' || amrap === 'all' || (amrap !== undefined && n === before)
  }
  return false
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
    best = { load: whole, reps, estimate: seen }
    if (rir !== undefined) best.rir = rir
  }
  return best
}
