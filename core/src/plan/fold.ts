import {
  closeWeek,
  endByDate,
  giveUp,
  inWeekOf,
  openWeek,
  placesLeft,
  type Course,
  type RunningWeek,
  type Taken,
} from '../calendar/course.ts'
import type { Place } from '../calendar/places.ts'
import type { Enrolment, Segment, SessionLog, SetLog } from '../member/types.ts'
import { ruleOf } from '../progressions/registry.ts'
import { signOf } from '../signs/registry.ts'
import { changeOf } from '../adjustments/registry.ts'
import { actsOn } from '../adjustments/where.ts'
import type { Id, Phase, Slot, Template } from '../template/types.ts'
import { addDays, daysBetween, type Day } from '../units/index.ts'
import { changesOf, trackChanges } from './changes.ts'
import { loadingAt } from './equipment.ts'
import { isDone, maxFor, type Evidence } from './evidence.ts'
import { followToday, heaviestOf } from './onTheBar.ts'
import { landAtHome, prescribe, recall, rolesAt, type Prescribed, type Situation } from './prescribe.ts'
import { heavier, progress } from './progress.ts'
import { trainedRow } from './rows.ts'
import { copyState, progressionKey, rowsKey, startState, type FoldState } from './state.ts'
import { judge, settle, type Verdict } from './verdict.ts'

/** One enrolment on its way through the timeline. */
export type Fold = {
  enrolment: Enrolment
  versions: Record<Id, Template>
  isCalendar: boolean
  state: FoldState
  /** Sessions of the running week and of those behind it, for whoever writes the plan out. Not part of the state. */
  trained: Trained[]
  weeks: RunningWeek[]
}

/** A session as it was trained, with what it takes to describe it. */
export type Trained = {
  place: Place
  log: SessionLog
  isOver: boolean
  outcomes: Outcome[]
  evidence: Evidence
}

/** What became of a slot. */
export type Outcome = { prescribed: Prescribed; verdict: Verdict; done: SetLog[] }

export function startFold(enrolment: Enrolment, versions: Record<Id, Template>): Fold {
  const [first] = enrolment.segments
  if (!first) throw new Error('missing segment: an enrolment needs at least one')
  // What is counted back from a test day keeps to dates, whatever else was agreed.
  const countsBack = enrolment.segments.some(({ version }) =>
    versions[version]?.phases.some(({ ends }) => ends),
  )
  const isCalendar = enrolment.clock === 'calendar' || countsBack
  return { enrolment, versions, isCalendar, state: startState(first.from), trained: [], weeks: [] }
}

/** Whether nothing of a week is under way: where a checkpoint serves best. */
export function isBetweenWeeks({ state: { course } }: Fold): boolean {
  const { running } = course
  return !running || !Object.keys(running.taken).length || !placesLeft(running).length
}

/** A fold as it is now, for a checkpoint: its state alone. */
export const copyFold = (fold: Fold): Fold => ({ ...fold, state: copyState(fold.state) })

/** A fold of its own from the same past, for looking ahead. */
export const forkFold = (fold: Fold): Fold => ({
  ...fold,
  state: copyState(fold.state),
  trained: [...fold.trained],
  weeks: [...fold.weeks],
})

/** The segment in force on a day: the last one that has begun, or the first where none has. */
export function segmentOn({ segments }: Enrolment, day: Day): Segment {
  return (segments.findLast(({ from }) => from <= day) ?? segments[0]) as Segment
}

export function templateOf(fold: Fold, version: Id): Template {
  const template = fold.versions[version]
  if (!template) throw new Error(`unknown version "${version}" of enrolment "${fold.enrolment.id}"`)
  return template
}

/** On a calendar, ends and begins weeks as their dates come, up to a day: `inclusive` for weeks that begin on it. */
export function keepDates(fold: Fold, day: Day, inclusive: boolean, evidence: Evidence): void {
  if (!fold.isCalendar) return
  const isDue = (from: Day): boolean => (inclusive ? from <= day : from < day)
  for (;;) {
    const { running, nextFrom } = fold.state.course
    if (running?.from) {
      if (!isDue(addDays(running.from, 7))) return
      const course = endByDate(fold.state.course, templateOf(fold, running.version).missed)
      if (course.running) fold.state.course = course
      else endWeek(fold, 'dropped')
    } else if (!nextFrom || !isDue(nextFrom) || !open(fold, nextFrom, evidence)) return
  }
}

/** Ends the running week; what is left of it is given up. */
export function endWeek(fold: Fold, as: Taken): void {
  const course = giveUp(fold.state.course, as)
  if (course.running) fold.weeks.push(course.running)
  fold.state.course = closeWeek(course)
}

/** Opens the next week as things stand on a day; false when the plan is over. */
export function open(fold: Fold, day: Day, evidence: Evidence): boolean {
  const { state, isCalendar } = fold
  const { version, track = null } = segmentOn(fold.enrolment, day)
  const template = templateOf(fold, version)
  const start = fold.enrolment.segments[0]?.from ?? day
  const light = evidence.lights.find(({ id, from }) => from <= day && !state.course.lights.includes(id))
  const opened = openWeek(state.course, {
    template,
    version,
    track: track !== null && template.tracks[track] ? track : null,
    isCalendar,
    testDay: evidence.testDay !== null && evidence.testDay >= start ? evidence.testDay : null,
    shows: (phase) => signShows(state, phase),
    weekOf: (phase, phaseWeek, toTest) => weekOf(template, track, phase, phaseWeek, toTest),
    light: light ? { id: light.id, shift: light.shift } : null,
  })
  if (!opened) return false
  state.course = opened
  return true
}

/** Whether the sign that ends a phase shows on any lift of its progression. */
function signShows({ progressions }: FoldState, { weeks }: Phase): boolean {
  if (typeof weeks === 'number') return false
  const { until } = weeks
  return Object.entries(progressions).some(
    ([key, { run }]) => key.startsWith(`${until.progression}/`) && signOf[until.sign].shows(run, until),
  )
}

function weekOf(
  template: Template,
  track: Id | null,
  phase: Phase,
  phaseWeek: number,
  toTest: number | null,
) {
  const { rotation, perWeek } = phase
  return trackChanges(template, track).reduce(
    (week, { adjustment: { do: change, where }, label }) => {
      const spot = { phase: phase.id, phaseWeek, ...(toTest !== null && { toTest }) }
      const made = actsOn(where, spot) ? changeOf[change.kind].onWeek?.(week, change, label) : null
      return made ? made.now : week
    },
    { rotation, perWeek },
  )
}

/**
 * Makes sure that a week is running that fits the day: the next one where the last is over; and, where nothing of it has been
 * started yet on the own clock, opened anew under what is known today. A segment that begins with a session takes the rest of
 * the week over. False when the plan is over.
 */
export function standOn(fold: Fold, day: Day, evidence: Evidence): boolean {
  const { running } = fold.state.course
  if (running?.from && (fold.isCalendar || placesLeft(running).length)) {
    takeOver(fold, running, day)
    return true
  }
  if (running?.from) endWeek(fold, 'skipped')
  else if (running) fold.state.course = unopened(fold.state.course, running)
  return open(fold, day, evidence)
}

/** The course before a week was opened that nothing was done in. */
function unopened(course: Course, { phase, phaseWeek, isInserted, light }: RunningWeek): Course {
  const isFirst = phaseWeek === 1 && !isInserted && course.phase !== phase
  return {
    ...course,
    begun: isFirst ? course.begun.filter((id) => id !== phase) : course.begun,
    lights: course.lights.filter((id) => id !== light),
    running: null,
  }
}

/** Gives the rest of a running week to a segment that begins with a session. */
function takeOver({ enrolment, versions, state }: Fold, running: RunningWeek, day: Day): void {
  const { version, track = null, begins } = segmentOn(enrolment, day)
  if (begins !== 'session' || (version === running.version && track === running.track)) return
  const template = versions[version]
  const phase = template?.phases.find(({ id }) => id === running.phase)
  if (!template || !phase) return
  const { rotation } = weekOf(template, track, phase, running.phaseWeek, running.toTest)
  const sessions = running.sessions.map((session, i) =>
    running.taken[i + 1] ? session : (rotation[(running.turn + i) % rotation.length] as Id),
  )
  state.course = { ...state.course, running: { ...running, version, track, sessions } }
}

/**
 * Replays one logged session: what would have been asked, what was shown, the verdicts, and, once it is over, what the
 * rules make of it. False when the log names a place that the plan of its day does not have.
 */
export function replay(fold: Fold, log: SessionLog, evidence: Evidence, isOver: boolean): boolean {
  const place = reach(fold, log, evidence)
  if (!place) return false
  const situation = situationAt(fold, place, log.date, evidence, log)
  const asked = log.shown ? recall(situation, log.shown) : prescribe(situation).slots
  const outcomes = followed(asked, log, evidence).map((prescribed) => outcome(prescribed, log))
  fold.trained.push({ place, log, isOver, outcomes, evidence })
  if (isOver) advance(situation, outcomes, log.date, log.position)
  return true
}

/**
 * The place of a log. A position in a later week gives up what is left before it. One of a week that is over is placed where
 * its snapshot says, and takes no place; without a snapshot it has none.
 */
function reach(fold: Fold, log: SessionLog, evidence: Evidence): Place | null {
  if (!standOn(fold, log.date, evidence)) return behind(fold, log)
  for (let weeks = 0; weeks < mostWeeks; weeks++) {
    const { running } = fold.state.course
    if (!running || log.position < running.first) return behind(fold, log)
    const inWeek = inWeekOf(fold.state.course, log.position)
    if (inWeek !== null) {
      if (!running.from) fold.state.course = { ...fold.state.course, running: { ...running, from: log.date } }
      return placeAt(fold, fold.state.course.running as RunningWeek, inWeek, log)
    }
    endWeek(fold, fold.isCalendar ? 'dropped' : 'skipped')
    if (!open(fold, log.date, evidence)) return behind(fold, log)
  }
  return null
}

/** More weeks than any plan has: positions beyond them name nothing. */
const mostWeeks = 400

function behind(fold: Fold, log: SessionLog): Place | null {
  const at = log.shown?.at
  const template = log.shown && fold.versions[log.shown.version]
  const phase = template?.phases.find(({ id }) => id === at?.phase)
  if (!at || !phase || !template?.sessions[at.session]) return null
  const { week, phaseWeek, inWeek, session, toTest } = at
  return {
    position: log.position,
    week,
    phaseWeek,
    inWeek,
    phase,
    session,
    ...(toTest !== undefined && { toTest }),
  }
}

/** A place of the running week; the session that was shown there, if one was, goes before the one that would stand there now. */
export function placeAt(fold: Fold, week: RunningWeek, inWeek: number, log?: SessionLog): Place {
  const shown = log?.shown
  const isKnown = shown && fold.versions[shown.version]?.sessions[shown.at.session]
  const template = templateOf(fold, isKnown ? shown.version : week.version)
  const own = template.phases.find(({ id }) => id === week.phase)
  const asShown = isKnown ? template.phases.find(({ id }) => id === shown.at.phase) : undefined
  return {
    position: week.first + inWeek - 1,
    week: week.week,
    phaseWeek: asShown && shown ? shown.at.phaseWeek : week.phaseWeek,
    inWeek,
    phase: (asShown ?? own) as Phase,
    session: (isKnown ? shown.at.session : week.sessions[inWeek - 1]) as Id,
    ...(week.toTest !== null && { toTest: week.toTest }),
  }
}

/** What a place of the running week is prescribed from, on a day. */
export function situationAt(
  fold: Fold,
  place: Place,
  day: Day,
  evidence: Evidence,
  log?: SessionLog,
): Situation {
  const { state, versions } = fold
  const running = state.course.running
  const version = log?.shown && versions[log.shown.version] ? log.shown.version : running?.version
  const template = templateOf(fold, version ?? segmentOn(fold.enrolment, day).version)
  const changes = changesOf(
    template,
    evidence,
    place.phase,
    {
      track: running?.track ?? null,
      light: running?.light ?? null,
    },
    isBack(state, template, place.week, day),
  )
  return { template, state, evidence, place, day, changes, ...(log?.place && { at: log.place }) }
}

/** Whether a session is one of the first week back after an absence that the template makes allowance for. */
function isBack({ lastDay, backWeek }: FoldState, { away }: Template, week: number, day: Day): boolean {
  if (!away) return false
  return backWeek === week || (lastDay !== null && daysBetween(lastDay, day) >= away.weeks * 7)
}

/** What was asked, with the loads that follow today's top set worked out from what was lifted. */
function followed(asked: Prescribed[], log: SessionLog, evidence: Evidence): Prescribed[] {
  if (!asked.some(({ groups }) => groups.some(({ today }) => today))) return asked
  const session = asked.map(({ id, groups }) => ({
    slot: id,
    groups,
    sets: setsOf(log, id),
  }))
  const slotOf = new Map(asked.map(({ id, slot }) => [id, slot]))
  const groups = followToday(session, (id) => loadingAt(evidence, log.place, slotOf.get(id) as Slot))
  return asked.map((prescribed, i) => ({ ...prescribed, groups: groups[i] ?? prescribed.groups }))
}

function outcome(prescribed: Prescribed, log: SessionLog): Outcome {
  const { id, slot, groups, light } = prescribed
  const done = setsOf(log, id)
  return { prescribed, done, verdict: judge(log.shown?.slots[id] ?? slot, groups, done, light) }
}

/** A slot's sets by number. */
function setsOf(log: SessionLog, slot: Id): SetLog[] {
  let bySlot = sorted.get(log)
  if (!bySlot) {
    bySlot = new Map()
    for (const set of log.sets) {
      const own = bySlot.get(set.slot)
      if (own) own.push(set)
      else bySlot.set(set.slot, [set])
    }
    for (const sets of bySlot.values()) sets.sort((a, b) => a.n - b.n)
    sorted.set(log, bySlot)
  }
  return bySlot.get(slot) ?? []
}

/** A log is never changed in place, so its sets by slot are kept beside it. */
const sorted = new WeakMap<SessionLog, Map<Id, SetLog[]>>()

/** Moves on past a place, were every set of it done as asked: how plans look ahead. */
export function assume(situation: Situation, asked: Prescribed[]): void {
  const outcomes = asked.map((prescribed): Outcome => {
    const { groups, light } = prescribed
    const isProven = !groups.some(({ missing, short }) => missing || short)
    return { prescribed, verdict: light ? 'light' : isProven ? 'hit' : 'not comparable', done: [] }
  })
  advance(situation, outcomes, null, situation.place.position)
}

/** What a session leaves behind: its place taken, its rows trained, its exposures heard by their rules. */
function advance(situation: Situation, outcomes: Outcome[], date: Day | null, position: number): void {
  const { state, template, place, day } = situation
  const worked = outcomes.filter(({ verdict }) => verdict !== 'skip')
  takePlace(state, position, worked.length > 0)
  if (worked.length) {
    if (isBack(state, template, place.week, day)) state.backWeek = place.week
    state.lastDay = day
  }
  for (const { prescribed, verdict, done } of worked) {
    const key = rowsKey(place.phase.id, prescribed.id)
    const isExposure = verdict === 'hit' || verdict === 'miss'
    const { slot, row, groups } = prescribed
    if (verdict !== 'light' && slot.by === 'week')
      state.rows[key] = trainedRow(state.rows[key], row, place.week)
    if (isExposure && slot.by === 'exposure') state.exposures[key] = (state.exposures[key] ?? 0) + 1
    if (isExposure && slot.by === 'toTest') {
      const top = heaviestOf({ slot: prescribed.id, groups, sets: done }, undefined, date !== null)
      if (top) state.heaviest[key] = heavier(state.heaviest[key], top)
    }
    if (slot.follows.length) feed(situation, { prescribed, verdict, done }, date)
  }
}

function takePlace(state: FoldState, position: number, isTrained: boolean): void {
  const { course } = state
  const inWeek = inWeekOf(course, position)
  if (!course.running || inWeek === null) return
  const taken = { ...course.running.taken, [inWeek]: isTrained ? ('trained' as const) : ('skipped' as const) }
  state.course = { ...course, running: { ...course.running, taken } }
}

/** Tells a slot's rules about the session; slots of one progression are told in the order of the session. */
function feed(
  { template, state, evidence, place, day }: Situation,
  { prescribed, verdict, done }: Outcome,
  date: Day | null,
): void {
  const { slot, groups, first } = prescribed
  const { unit } = loadingAt(evidence, undefined, slot).here
  const known = { max: maxFor(evidence, slot, template.maxes, day), unit, first }
  const hand = { unit, land: landAtHome(evidence, slot) }
  for (const { progression, role } of rolesAt(slot, place.inWeek)) {
    if (isRead(template, progression))
      keepRole(state, place, progression, role, { prescribed, verdict, done }, date)
    const ruled = groups.find((group) => group.ruled)
    const counted = heard(verdict, ruled?.ruled, prescribed.ruled)
    if (!counted) continue
    const n = ruled ? groups.slice(0, groups.indexOf(ruled)).reduce((sum, { sets }) => sum + sets, 0) : 0
    const count = ruled?.sets ?? 0
    const reps = done
      .filter((set) => set.n > n && set.n <= n + count && isDone(set))
      .map((set) => set.reps ?? 0)
    const exposure = { date, role, ...counted, asked: ruled?.reps ?? groups[0]?.reps ?? 1, reps }
    progress(template, state, { progression, lift: slot, exposure }, known, hand)
  }
}

/** Only a rule of several roles has loads that one role reads of another. */
const isRead = ({ progressions }: Template, progression: Id): boolean =>
  progressions[progression]?.stages.some(({ rule }) => ruleOf[rule].roles.length > 1) ?? false

/** What a verdict counts for; a progression that gives no load is told the verdict alone. */
function heard(
  verdict: Verdict,
  shown: Parameters<typeof settle>[1] | undefined,
  replayed: Parameters<typeof settle>[1] | undefined,
) {
  if (shown) return settle(verdict, shown, replayed ?? shown)
  if (verdict === 'hit' || verdict === 'miss') return { verdict, target: null }
  return null
}

/** Keeps the load that was on the bar in a role, for those that read it. */
function keepRole(
  state: FoldState,
  { week }: Place,
  progression: Id,
  role: string,
  { prescribed, verdict, done }: Outcome,
  date: Day | null,
): void {
  const { id, slot, groups } = prescribed
  const load = heaviestOf({ slot: id, groups, sets: done })
  if (!load) return
  const key = `${progressionKey(progression, slot)}/${role}`
  state.roles[key] = { ...state.roles[key], [verdict === 'light' ? 'light' : 'normal']: { load, date, week } }
}
