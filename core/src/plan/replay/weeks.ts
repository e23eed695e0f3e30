import type { Id } from '../../parsing/index.ts'
import { changeOf, actsOn, mayAct } from '../../adjustments/index.ts'
import {
  closeWeek,
  endByDate,
  giveUp,
  inWeekOf,
  openWeek,
  placesLeft,
  sessionAt,
  type Course,
  type RunningWeek,
  type Taken,
  type Place,
} from '../../calendar/index.ts'
import type { SessionLog } from '../../member/index.ts'
import { triggerOf } from '../../triggers/index.ts'
import type { Phase, Template } from '../../template/index.ts'
import { addDays, type Day } from '../../units/index.ts'
import {
  isReturn,
  plannedDeload,
  ownDeloadChanges,
  trackChanges,
  type Authored,
  type OwnDeload,
} from '../compile/changes.ts'
import { segmentOn, templateOf, type Fold } from '../state/fold.ts'
import type { Evidence } from '../../evidence/index.ts'
import type { FoldState } from '../state/state.ts'

/** On a calendar, ends and begins weeks as their dates come, up to a day: `inclusive` for weeks that begin on it. */
export function keepDates(fold: Fold, day: Day, inclusive: boolean, evidence: Evidence): void {
  if (!fold.isCalendar) return
  const isDue = (from: Day): boolean => (inclusive ? from <= day : from < day)
  for (;;) {
    const { running, nextFrom } = fold.state.course
    if (running?.from) {
      if (!isDue(addDays(running.from, 7))) return
      const course = endByDate(fold.state.course, templateOf(fold, running.version).missed)
      if (course.running) {
        // A week that is done again stays visible as it was done first.
        if (course.running.attempt > running.attempt) fold.weeks.push(withGivenUp(running))
        fold.state.course = course
      } else endWeek(fold, 'dropped')
    } else if (!nextFrom || !isDue(nextFrom) || !open(fold, nextFrom, evidence)) return
  }
}

const withGivenUp = (running: RunningWeek): RunningWeek => {
  const left = placesLeft(running).map((inWeek) => [inWeek, 'dropped'] as const)
  return { ...running, taken: { ...running.taken, ...Object.fromEntries(left) } }
}

/** Ends the running week; what is left of it is given up. */
export function endWeek(fold: Fold, as: Taken): void {
  const course = giveUp(fold.state.course, as)
  if (course.running) fold.weeks.push(course.running)
  fold.state.course = closeWeek(course)
}

/** Opens the next week as things stand on a day; false when the plan is over. */
export function open(fold: Fold, day: Day, evidence: Evidence, withoutDeload = false): boolean {
  const { state, isCalendar } = fold
  const { version, track = null } = segmentOn(fold.enrolment, day)
  const template = templateOf(fold, version)
  const start = fold.enrolment.segments[0]?.from ?? day
  const ownDeload = withoutDeload ? null : nextOwnDeload(state.course, evidence, day)
  const opened = openWeek(state.course, {
    template,
    version,
    track: track !== null && template.tracks[track] ? track : null,
    isCalendar,
    testDay: evidence.testDay !== null && evidence.testDay >= start ? evidence.testDay : null,
    shows: (phase) => signShows(state, phase),
    weekOf: (phase, phaseWeek, toTest, skipsDeload) =>
      weekOf(weekChanges(template, track, phase, ownDeload, skipsDeload), phase, phaseWeek, toTest),
    skip: (phase, phaseWeek, toTest) => skipOf(state.course, evidence, day, phase, phaseWeek, toTest),
    hasLeft: ({ id }) => evidence.left.includes(id),
    deload: ownDeload && {
      id: ownDeload.deload.id,
      at: ownDeload.at,
      shift: ownDeload.deload.shift && !isReturn(ownDeload),
    },
  })
  if (!opened) return false
  state.course = opened
  return true
}

/**
 * Whether the trigger that ends a phase fires on any lift of its progression, or has fired in a week that may be its last: what later sessions
 * of that week bring does not call it back.
 */
export function signShows({ progressions, ended }: FoldState, { id: phase, weeks }: Phase): boolean {
  if (typeof weeks === 'number') return false
  if (ended.includes(phase)) return true
  const { until } = weeks
  return Object.entries(progressions).some(
    ([key, { run }]) => key.startsWith(`${until.progression}/`) && triggerOf[until.trigger].fires(run, until),
  )
}

/** A deload of the member's own with weeks still to give, its return among them, and how many it has given. */
function nextOwnDeload({ deloads }: Course, evidence: Evidence, day: Day): OwnDeload | null {
  for (const deload of evidence.deloads) {
    const at = deloads.filter((id) => id === deload.id).length
    if (deload.from <= day && at < deload.weeks + deload.back.length) return { deload, at }
  }
  return null
}

/** The member's word that a planned deload is trained as written, where the week is one and the word is not used up. */
function skipOf(
  { deloads }: Course,
  { skips }: Evidence,
  day: Day,
  phase: Phase,
  phaseWeek: number,
  toTest: number | null,
): Id | null {
  const word = skips.find(({ id, from }) => from <= day && !deloads.includes(id))
  const spot = { phase: phase.id, phaseWeek, ...(toTest !== null && { toTest }) }
  const isDeloadWeek = phase.deloads.some(({ where }) => mayAct({ ...where, sessions: undefined }, spot))
  return word && isDeloadWeek ? word.id : null
}

/** Every change of a week's days: the track's, the phase's deloads', and the member's own deload's. */
function weekChanges(
  template: Template,
  track: Id | null,
  phase: Phase,
  ownDeload: OwnDeload | null,
  skipsDeload: boolean,
): Authored[] {
  return [
    ...trackChanges(template, track),
    ...plannedDeload(phase, ownDeload ?? undefined, skipsDeload),
    ...(ownDeload ? ownDeloadChanges(ownDeload) : []),
  ]
}

function weekOf(changes: Authored[], phase: Phase, phaseWeek: number, toTest: number | null) {
  const { rotation, perWeek } = phase
  return changes.reduce(
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
function unopened(course: Course, { phase, phaseWeek, isInserted, deload, skips }: RunningWeek): Course {
  const given = course.deloads.lastIndexOf(deload ?? '')
  const isFirst = phaseWeek === 1 && !isInserted && course.phase !== phase
  return {
    ...course,
    begun: isFirst ? course.begun.filter((id) => id !== phase) : course.begun,
    deloads: course.deloads.filter((id, i) => i !== given && id !== skips),
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
  const changes = trackChanges(template, track)
  const { rotation } = weekOf(changes, phase, running.phaseWeek, running.toTest)
  const sessions = running.sessions.map((session, i) =>
    running.taken[i + 1] ? session : (sessionAt(template, rotation, running.turn + i) ?? session),
  )
  state.course = { ...state.course, running: { ...running, version, track, sessions } }
}

/**
 * The place of a log. A position in a later week gives up what is left before it. One of a week that is over is placed where
 * its snapshot says, and takes no place; without a snapshot it has none.
 */
export function reach(fold: Fold, log: SessionLog, evidence: Evidence): Place | null {
  const { course } = fold.state
  const ended = fold.weeks.length
  const place = walkTo(fold, log, evidence)
  if (place) return place
  // What names nothing gives nothing up.
  fold.state.course = course
  fold.weeks.length = ended
  return behind(fold, log)
}

function walkTo(fold: Fold, log: SessionLog, evidence: Evidence): Place | null {
  if (!standOn(fold, log.date, evidence)) return null
  waitWithDeload(fold, log, evidence)
  for (let weeks = 0; weeks < mostWeeks; weeks++) {
    const { running } = fold.state.course
    if (!running || log.position < running.first) return null
    const inWeek = inWeekOf(fold.state.course, log.position)
    if (inWeek !== null) {
      if (!running.from) fold.state.course = { ...fold.state.course, running: { ...running, from: log.date } }
      return placeAt(fold, fold.state.course.running as RunningWeek, inWeek, log)
    }
    endWeek(fold, fold.isCalendar ? 'dropped' : 'skipped')
    if (!open(fold, log.date, evidence)) return null
    waitWithDeload(fold, log, evidence)
  }
  return null
}

/**
 * A deload that was put in before a week, and of which nothing is trained, waits where a phone that did not know of it has trained the week
 * itself: a session takes the place that its snapshot names, and what nobody trained is not given.
 */
function waitWithDeload(fold: Fold, { shown, date }: SessionLog, evidence: Evidence): void {
  const { running } = fold.state.course
  const at = shown?.at
  if (!running?.isInserted || at?.deload !== null || Object.keys(running.taken).length) return
  if (at.phase !== running.phase || at.phaseWeek !== running.phaseWeek) return
  fold.state.course = unopened(fold.state.course, running)
  open(fold, date, evidence, true)
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

/** Whether nothing of a week is under way: where a checkpoint serves best. */
export function isBetweenWeeks({ state: { course } }: Fold): boolean {
  const { running } = course
  return !running || !Object.keys(running.taken).length || !placesLeft(running).length
}
