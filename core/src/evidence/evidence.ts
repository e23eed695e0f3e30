import type { Adjustment, Change } from '../adjustments/index.ts'
import type { Id } from '../parsing/index.ts'
import { exerciseOf, liftKey, type Lift, type Muscle, type Library } from '../library/index.ts'
import type { MaxInForce } from '../loads/index.ts'
import type { TopSet } from '../progressions/index.ts'
import { estimate, isDoubtful, defaultFormula } from '../maxes/index.ts'
import type {
  About,
  BlockOf,
  CheckIn,
  EquipmentBody,
  EventKind,
  Fact,
  MaxFact,
  SessionLog,
  SetLog,
  TrialFact,
} from '../member/index.ts'
import { addLoad, compareLoads, type Day, type Load, type Unit } from '../units/index.ts'

/**
 * What is known of a member on a day, folded from facts and logs alone: it knows no template, so two programs share one
 * max history. Small plain JSON, never changed in place.
 */
export type Evidence = {
  unit: Unit
  home: Id
  /** The latest body weight, which body-weight lifts have as a part of their load. */
  body: { load: Load; date: Day } | null
  /** Maxes of body-weight lifts that wait for a first body weight. */
  waiting: (MaxFact & { id: Id; date: Day })[]
  /** Maxes with more help than the body weighs, which are none. */
  impossible: Id[]
  equipment: Record<Id, EquipmentBody>
  /** Accepted maxes of each lift, by date; of one date the later entry last. */
  maxes: Record<string, MaxInForce[]>
  last: Record<string, LastTime>
  estimates: Record<string, EstimateSeen>
  /** Tests lower than the max in force, which nobody has accepted. */
  lower: Record<string, MaxInForce>
  testDay: Day | null
  /** Light spells that the member has asked for: so many weeks, and what is taken off the loads in the weeks behind them. */
  lights: {
    id: Id
    from: Day
    changes: Change[]
    muscles?: Muscle[]
    shift: boolean
    weeks: number
    back: number[]
  }[]
  /** The member's own changes that are not withdrawn. */
  own: Adjustment[]
  /** Planned light weeks that are to be trained as written, each the next one from its day. */
  skips: { id: Id; from: Day }[]
  /** Phases that are over for the member. */
  left: Id[]
  /** The advisor's answers that were taken or left, and when, by answer. */
  adviceTaken: Record<string, { taken: boolean; date: Day }>
  /** Stages that lifts were handed to because somebody took the offer, by progression and stage. */
  handovers: string[]
  /** How the member was when asked, the latest first, at most as many as advice looks back. */
  checkIns: (CheckIn & { date: Day })[]
  about: About
  events: { id: Id; what: EventKind; name?: string; on: Day; to?: Day }[]
  goals: Goal[]
  trials: (Omit<TrialFact, 'kind'> & { id: Id })[]
  decisions: Record<Id, { chosen: 'first' | 'second' | 'neither'; note?: string; date: Day }>
  /** The most sets a week of a muscle that the member has set. */
  ceilings: Record<string, number>
}

/** The sets of a lift's latest session, in order. */
export type LastTime = { date: Day; sets: Pick<SetLog, 'load' | 'help' | 'reps' | 'amount' | 'rir'>[] }

/** The best estimate of a lift's latest session: a proposal, until somebody accepts it. */
export type EstimateSeen = { load: Load; date: Day; from: SetSeen }

/** A set that a max comes from. */
export type SetSeen = Omit<NonNullable<MaxInForce['from']>, 'formula'>

export const noEvidence: Evidence = {
  unit: 'kg',
  home: 'home',
  body: null,
  waiting: [],
  impossible: [],
  equipment: {},
  maxes: {},
  last: {},
  estimates: {},
  lower: {},
  testDay: null,
  lights: [],
  own: [],
  skips: [],
  left: [],
  adviceTaken: {},
  handovers: [],
  checkIns: [],
  about: {},
  events: [],
  goals: [],
  trials: [],
  decisions: {},
  ceilings: {},
}

/** What names a stage of a progression that a lift was handed to. */
export const handoverKey = (progression: Id, stage: Id): string => `${progression}/${stage}`

/** What a lift is to reach: the estimated max on the day it was set, if one was known, and the one that is meant. */
export type Goal = Lift & { from: Load | null; set: Day; to: Load; by?: Day; block?: BlockOf }

const mostCheckIns = 8

export const isSameBlock = (a: BlockOf | undefined, b: BlockOf | undefined): boolean =>
  a?.enrolment === b?.enrolment && a?.phase === b?.phase

export function learnFact(library: Library, known: Evidence, fact: Fact): Evidence {
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
    case 'bodyWeight': {
      const { load, date } = fact
      if (known.body && known.body.date > date) return known
      const weighed: Evidence = { ...known, body: { load, date }, waiting: [] }
      return known.waiting.reduce((made, max) => learnMax(library, made, max), weighed)
    }
    case 'test':
      return { ...known, testDay: fact.on }
    case 'light': {
      const { id, actsFrom, changes, muscles, shift, weeks = 1, back = [] } = fact
      const spell = { id, from: actsFrom, changes, ...(muscles && { muscles }), shift, weeks, back }
      return { ...known, lights: [...known.lights, spell] }
    }
    case 'adjust': {
      const others = known.own.filter(({ id }) => id !== fact.adjustment.id)
      return { ...known, own: [...others, fact.adjustment] }
    }
    case 'withdraw':
      return { ...known, own: known.own.filter(({ id }) => id !== fact.adjustment) }
    case 'handover':
      return { ...known, handovers: [...known.handovers, handoverKey(fact.progression, fact.stage)] }
    case 'skipLight':
      return { ...known, skips: [...known.skips, { id: fact.id, from: fact.actsFrom }] }
    case 'nextPhase':
      return { ...known, left: [...known.left, fact.phase] }
    case 'adviceTaken': {
      const { answer, taken, date } = fact
      return { ...known, adviceTaken: { ...known.adviceTaken, [answer]: { taken, date } } }
    }
    case 'checkIn': {
      const { date, sleep, mood, freshness, joints, sore } = fact
      const said = { date, sleep, mood, freshness, joints, sore }
      return { ...known, checkIns: [said, ...known.checkIns].slice(0, mostCheckIns) }
    }
    case 'about': {
      const { overForty, deficit, stress } = fact
      return { ...known, about: { overForty, deficit, stress } }
    }
    case 'event': {
      const { id, what, name, on, to } = fact
      return {
        ...known,
        events: [...known.events, { id, what, ...(name && { name }), on, ...(to && { to }) }],
      }
    }
    case 'goal': {
      const { exercise, variant, date, to, by, block } = fact
      const key = liftKey(fact)
      const others = known.goals.filter((one) => liftKey(one) !== key || !isSameBlock(one.block, block))
      if (!to) return { ...known, goals: others }
      const from = known.estimates[key]?.load ?? known.maxes[key]?.at(-1)?.load ?? null
      const until = { ...(by && { by }), ...(block && { block }) }
      return {
        ...known,
        goals: [...others, { exercise, ...(variant && { variant }), from, set: date, to, ...until }],
      }
    }
    case 'trial': {
      const { id, name, differs, first, second, lifts } = fact
      return { ...known, trials: [...known.trials, { id, name, differs, first, second, lifts }] }
    }
    case 'decision': {
      const { trial, chosen, note, date } = fact
      return {
        ...known,
        decisions: { ...known.decisions, [trial]: { chosen, date, ...(note && { note }) } },
      }
    }
    case 'ceiling': {
      const { [fact.muscle]: _, ...others } = known.ceilings
      return { ...known, ceilings: fact.sets === null ? others : { ...others, [fact.muscle]: fact.sets } }
    }
    case 'max':
      return learnMax(library, known, fact)
  }
}

/**
 * An accepted max takes its place by its date. A test that is lower than the max in force waits until somebody accepts it; of a
 * body-weight lift nothing is known until the body has been weighed.
 */
function learnMax(library: Library, known: Evidence, fact: MaxFact & { id: Id; date: Day }): Evidence {
  const key = liftKey(fact)
  const { id, date, how, help, rir } = fact
  const isOnBody = exerciseOf(library, fact).tool === 'body weight'
  if (isOnBody && !known.body) return { ...known, waiting: [...known.waiting, fact] }
  const body = isOnBody ? known.body?.load : undefined
  const load = maxOf(fact, body)
  if (!load) return known
  if (!load.value) return { ...known, impossible: [...known.impossible, id] }
  const isSet = fact.reps + (rir ?? 0) > 1
  const from = {
    load: fact.load,
    reps: fact.reps,
    ...(rir && { rir }),
    ...(help && { help }),
    ...(body && { body }),
    ...(isSet && { formula: fact.formula ?? defaultFormula }),
  }
  const max: MaxInForce = { load, date, how, ...((isSet || body) && { from }) }
  const had = known.maxes[key] ?? []
  const newest = had[had.length - 1]
  const isLower = how === 'tested' && newest && date >= newest.date && compareLoads(load, newest.load) < 0
  if (isLower && !fact.accepted) return { ...known, lower: { ...known.lower, [key]: max } }
  const at = had.findLastIndex((one) => one.date <= date) + 1
  const { [key]: _, ...lower } = known.lower
  return { ...known, lower, maxes: { ...known.maxes, [key]: [...had.slice(0, at), max, ...had.slice(at)] } }
}

type GivenSet = Pick<MaxFact, 'load' | 'help' | 'reps' | 'rir' | 'formula'>

/** The one-rep max that a set gives, body weight included where it is part of it; null where it gives none. */
export function maxOf({ load, help, reps, rir, formula }: GivenSet, body?: Load): Load | null {
  return estimate(body ? addLoad(body, load, help) : load, reps, formula ?? defaultFormula, rir)
}

export function learnSession(library: Library, known: Evidence, log: SessionLog): Evidence {
  const { last, estimates } = lessonsOf(library, log, known.body?.load)
  return { ...known, last: { ...known.last, ...last }, estimates: { ...known.estimates, ...estimates } }
}

type Lessons = Pick<Evidence, 'last' | 'estimates'>

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
    if (log.shown?.slots[slot]?.light || !isMeasure(set)) continue
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
    best = { load: whole, reps, ...(rir !== undefined && { left: rir }), estimate: seen }
  }
  return best
}
