import {
  countedLog,
  isStale,
  learnSession,
  proposalsOf,
  timeline,
  type Evidence,
  type Happening,
  type Proposal,
} from '../evidence/index.ts'
import type { Course } from '../calendar/index.ts'
import { learnFact } from '../facts/index.ts'
import { liftKey, type Lift } from '../library/index.ts'
import type { Id } from '../parsing/index.ts'
import { addDays, lastDay, type Day } from '../units/index.ts'
import { begunIn, overOf, withFollowers, type Begun } from './followers.ts'
import { carryLoads } from './carry.ts'
import { isOver } from './isOver.ts'
import { withOwnTracks } from './ownTracks.ts'
import { writeOut } from './ahead/writeOut.ts'
import { asksDeloadOf, offersOf, type Offer } from './progress/offers.ts'
import {
  boundariesFrom,
  boundaryNear,
  checkpointAt,
  covers,
  resume,
  type Boundary,
  type Checkpoint,
  type Start,
} from './replay/checkpoint.ts'
import { replay } from './replay/replay.ts'
import { isBetweenWeeks, keepDates } from './replay/weeks.ts'
import { copyFold, templateOn, type Fold, type Trained } from './state/fold.ts'
import type { DoubtfulLog, Plan, PlanInput, SetAside, StrayLog } from './types.ts'
import {
  isOverBefore,
  overFrom,
  placeNamed,
  resolve,
  type Enrolment,
  type SessionLog,
} from '../member/index.ts'

export type Planned = {
  plans: Record<Id, Plan>
  /** With the tracks that the member alone has. */
  enrolments: Enrolment[]
  /** Enrolments that begin once another is over. */
  waiting: Enrolment[]
  evidence: Evidence
  /** Maxes to accept, or leave. */
  proposals: Proposal[]
  /** Entries that drive nothing, for whoever names them. */
  setAside: SetAside
  /** How far each enrolment has come. */
  courses: Record<Id, Course>
  /** Lifts that have outgrown their rule, with what they may go on to. */
  offers: Offer[]
  /** Lifts whose rule asks for a deload. */
  asksDeload: Lift[]
  /** Where the next call may take up the thread, if it is to; null where everything is too recent. */
  checkpoint: Checkpoint | null
  /** Whether the checkpoint that was given held, so that no session up to its day was needed. */
  isResumed: boolean
}

/**
 * A member's plans, computed from dated facts and logs, the versions that the enrolments name, and the exercises that these name. The
 * same input gives the same plan, to the last plate, in whatever order the entries came and wherever it is planned: nothing is read that
 * is not handed in. Nothing here validates: templates and members have been read.
 *
 *     facts, logs ─ timeline ─┬─ evidence ───────────────┐
 *                             └─ replay: judge, progress ─┴─ prescribe: row → source or rule → changes → round ─ plan
 *
 * A checkpoint of an earlier call spares the replay of everything before it; plans are the same with and without it. It serves `near` and `next`
 * plans: what it leaves out is not written out. One of a `next` plan lies right before today, and serves those alone. Whoever hands it in vouches
 * that nothing dated up to its day has changed since, and may leave the sessions up to that day out; where `isResumed` is false then,
 * everything has to be handed in.
 */
export function planMember(given: PlanInput, checkpoint?: Checkpoint | null): Planned {
  const { facts, logs } = given.member
  const input = { ...given, when: { ...given.when, today: todayFor(given) } }
  const known = begunIn(given.enrolments, checkpoint)
  const plan = ({ begun, waiting }: Begun) => {
    const enrolments = withOwnTracks(begun, facts)
    return planBegun({ ...input, enrolments }, waiting, checkpoint)
  }
  let made = plan(known)
  // A program that is over may begin the one that follows it, and that the next.
  for (let before = known; made.planned.waiting.length;) {
    const after = withFollowers(before, logs, made.overFrom, input.when.today)
    if (after.waiting.length === before.waiting.length) break
    made = plan(after)
    before = after
  }
  return made.planned
}

/** Plans enrolments whose first days are known. */
function planBegun(
  input: PlanInput,
  waiting: Enrolment[],
  checkpoint: Checkpoint | null | undefined,
): { planned: Planned; overFrom: (id: Id) => Day | null } {
  const { member, enrolments, versions, when } = input
  const { today, through } = when
  const history = timeline(member, today)
  const kept = through === 'near' || through === 'next' ? checkpoint : null
  const start = resume(input, kept, history.happenings)
  const near = tell(input, start, history.happenings)
  const isResumed = start.isResumed && covers(start, near.folds, through)
  const told =
    isResumed === start.isResumed
      ? near
      : tell(input, resume(input, null, history.happenings), history.happenings)
  const { folds, evidence, strays, doubtful } = told
  const plans: Record<Id, Plan> = {}
  // Of one that begins later, as things stand: no boundary holds it.
  carryLoads(folds, lastDay)
  for (const fold of folds) {
    keepDates(fold, today, true, evidence)
    plans[fold.enrolment.id] = writeOut(fold, evidence, when)
  }
  const boundary = through === 'next' ? told.latest : boundaryNear(told.boundaries, folds)
  const running = folds.filter(({ enrolment: { id } }) => !isOver(plans[id] as Plan, today))
  const templateNow = ({ enrolment }: Fold) => templateOn(enrolment, versions, today)
  const ratios = running.flatMap((fold) => templateNow(fold).maxes.ratios ?? [])
  const proposals = proposalsOf(evidence, ratios, lacking(plans), staleIn(running, input, evidence))
  const offers = running.flatMap((fold) => offersOf(fold, templateNow(fold), evidence))
  const asksDeload = running.flatMap((fold) => asksDeloadOf(fold, templateNow(fold)))
  const planned = {
    plans,
    enrolments,
    waiting,
    evidence,
    proposals,
    setAside: { ahead: history.ahead, strays, doubtful },
    courses: Object.fromEntries(folds.map(({ enrolment, state }) => [enrolment.id, state.course])),
    offers,
    asksDeload,
    checkpoint: boundary ? checkpointAt(boundary) : (kept ?? null),
    isResumed,
  }
  const overFrom = (id: Id): Day | null => {
    const fold = folds.find(({ enrolment }) => enrolment.id === id)
    const plan = plans[id]
    return fold && plan ? overOf(fold, plan) : null
  }
  return { planned, overFrom }
}

/**
 * Today, or the day of a session that was started one day ahead of it: across the date line, the phone is where its member is. Days further
 * ahead wait.
 */
function todayFor({ member, when: { today } }: PlanInput): Day {
  const next = addDays(today, 1)
  const isAhead = ({ date, waits }: SessionLog) => date === next && !waits
  return member.logs.some(isAhead) && resolve(member.logs).some(isAhead) ? next : today
}

/** The lifts whose max some enrolment's template of today finds too old to trust. */
function staleIn(running: Fold[], { versions, when }: PlanInput, { maxes, recent }: Evidence): Set<string> {
  const { today } = when
  const stale = new Set<string>()
  for (const { enrolment } of running) {
    const { maxes: policy } = templateOn(enrolment, versions, today)
    for (const key of Object.keys(recent))
      if (maxes[key] && isStale(policy, maxes[key].at(-1)?.date ?? today, today)) stale.add(key)
  }
  return stale
}

/** The lifts whose max a plan asks for. */
function lacking(plans: Record<Id, Plan>): Set<string> {
  const found = new Set<string>()
  for (const { weeks } of Object.values(plans))
    for (const { places } of weeks)
      for (const { slots } of places)
        for (const { needs } of slots)
          for (const { need, lift } of needs) if (need === 'max') found.add(liftKey(lift))
  return found
}

type Told = {
  evidence: Evidence
  folds: Fold[]
  /** For a near plan, those between two weeks; for the next sessions alone, the latest before today. */
  boundaries: Boundary[]
  latest: Boundary | null
  strays: StrayLog[]
  doubtful: DoubtfulLog[]
}

/** Folds what happened, in order, from where the start stands. */
function tell({ library, when }: PlanInput, start: Start, happenings: Happening[]): Told {
  const { today, through } = when
  const folds = start.folds
  const boundaries: Boundary[] = []
  const strays: StrayLog[] = []
  const doubtful: DoubtfulLog[] = []
  const watchFrom = boundariesFrom(today)
  const carries = folds.some(({ enrolment }) => enrolment.carries !== undefined)
  let { evidence } = start
  let latest: Boundary | null = null
  let before: Day | null = null
  for (let count = start.from; count < happenings.length; count++) {
    const happening = happenings[count] as Happening
    const { day } = happening
    if (before !== null && day > before) {
      if (through === 'next' && day >= today) latest ??= boundaryOf(before, evidence, folds)
      if (through === 'near' && before >= watchFrom && folds.some(isBetweenWeeks))
        boundaries.push(boundaryOf(before, evidence, folds))
    }
    before = day
    if (carries) carryLoads(folds, day)
    for (const fold of folds) keepDates(fold, day, 'log' in happening, evidence)
    if ('fact' in happening) {
      evidence = learnFact(library, evidence, happening.fact)
      continue
    }
    const { isOver } = happening
    const log = countedLog(happening)
    const fold = folds.find(({ enrolment }) => enrolment.id === log.enrolment)
    const course = fold?.state.course
    const isGone = fold !== undefined && isOverBefore(fold.enrolment, evidence, log.date)
    const isReplayed = fold !== undefined && !isGone && replay(fold, log, evidence, isOver)
    const trained = isReplayed ? fold.trained.at(-1) : undefined
    if (trained && fold && course) doubt(doubtful, fold, course, trained)
    if (!trained && log.enrolment !== null) strays.push(strayOf(log, log.enrolment, fold, evidence))
    const own = trained?.log ?? log
    // With lifts of this plan in it, it teaches nothing that another plan could take over.
    const kept = own === log ? happening : undefined
    evidence = learnSession(library, evidence, own, trained ? deloadsOf(trained) : nothing, kept)
  }
  if (through === 'next' && before !== null && before < today) latest = boundaryOf(before, evidence, folds)
  return { evidence, folds, boundaries, latest, strays, doubtful }
}

const boundaryOf = (through: Day, evidence: Evidence, folds: Fold[]): Boundary => ({
  through,
  evidence,
  folds: folds.map(copyFold),
})

const nothing: readonly Id[] = []

/** The slots of a session that were a deload. */
function deloadsOf({ outcomes }: Trained): readonly Id[] {
  if (!outcomes.some(({ prescribed }) => prescribed.deload)) return nothing
  return outcomes.filter(({ prescribed }) => prescribed.deload).map(({ prescribed }) => prescribed.id)
}

function strayOf(log: SessionLog, enrolment: Id, fold: Fold | undefined, evidence: Evidence): StrayLog {
  const at = placeNamed(log)
  const stray: StrayLog = { log: log.id, enrolment, position: log.position, isEnrolled: fold !== undefined }
  const over = fold ? overFrom(fold.enrolment, evidence) : null
  if (over !== null && over < log.date) stray.over = over
  return at ? { ...stray, at } : stray
}

/** So many weeks without a session are unlikely to be meant. */
const farWeeks = 4

/** What is odd about a session, as the plan stood before it. */
function doubt(
  doubtful: DoubtfulLog[],
  { enrolment, trained }: Fold,
  course: Course,
  { log, place }: Trained,
): void {
  const { id, date, attempt } = log
  const { position } = place
  const from = enrolment.segments[0]?.from ?? date
  const other =
    position > 0 &&
    trained.find((one) => one.log !== log && one.place.position === position && one.log.attempt === attempt)
  const behind = course.running ? course.running.first + course.running.sessions.length - 1 : course.positions
  const aWeek = course.running?.sessions.length ?? 0
  const ahead = position - behind
  if (date < from) doubtful.push({ log: id, position, what: 'early', date, from })
  if (other) doubtful.push({ log: id, position, what: 'twice', other: other.log.id })
  if (aWeek && ahead > farWeeks * aWeek) doubtful.push({ log: id, position, what: 'far', ahead })
}
