import type { Id } from '../../parsing/index.ts'
import {
  changeOf,
  actsInWeek,
  actsOn,
  isFor,
  weekSpot,
  type WeekDraft,
  type Whom,
} from '../../adjustments/index.ts'
import {
  closeWeek,
  endByDate,
  giveUp,
  openWeek,
  placesLeft,
  sessionAt,
  type Course,
  type RunningWeek,
  type Taken,
} from '../../calendar/index.ts'
import { isOverBefore, overFrom, type PlaceName } from '../../member/index.ts'
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
  const over = overFrom(fold.enrolment, evidence)
  if (over !== null && over < day) {
    keepDates(fold, over, false, evidence)
    return
  }
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

/** A week that somebody has trained, whatever the plan of its day would open next, and the version that knows it. */
export type NamedWeek = { name: PlaceName; version: Id }

/** Opens the next week as things stand on a day, or the one that is named; false when the plan is over, or has no such week. */
export function open(fold: Fold, day: Day, evidence: Evidence, named?: NamedWeek): boolean {
  const { state, isCalendar } = fold
  if (isOverBefore(fold.enrolment, evidence, day)) return false
  const segment = segmentOn(fold.enrolment, day)
  const { version = segment.version } = named ?? {}
  const { track = null } = segment
  const template = templateOf(fold, version)
  const whom = { track, training: evidence.about.training }
  const start = fold.enrolment.segments[0]?.from ?? day
  const ownDeload = named ? namedDeload(named.name, evidence) : nextOwnDeload(state.course, evidence, day)
  const opened = openWeek(state.course, {
    template,
    version,
    track: track !== null && template.tracks[track] ? track : null,
    isCalendar,
    testDay: evidence.testDay !== null && evidence.testDay >= start ? evidence.testDay : null,
    shows: (phase) => signShows(state, phase),
    weekOf: (phase, phaseWeek, toTest, skipsDeload) =>
      weekOf(weekChanges(template, whom, phase, ownDeload, skipsDeload), phase, phaseWeek, toTest),
    skip: (phase, phaseWeek, toTest) =>
      skipOf(state.course, evidence, day, { phase, phaseWeek, toTest, whom }),
    hasLeft: ({ id }) => evidence.left.includes(id),
    named: named?.name,
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
    if (deload.from <= day && !deload.to && at < deload.weeks + deload.back.length) return { deload, at }
  }
  return null
}

/** The deload that a place names; of one that was taken back since nothing is known but that it was trained. */
function namedDeload({ deload: named }: PlaceName, evidence: Evidence): OwnDeload | null {
  if (!named) return null
  const { fact: id, week } = named
  const deload = evidence.deloads.find((one) => one.id === id)
  const unknown = { id, from: '', changes: [], shift: true, weeks: week, back: [] }
  return { deload: deload ?? unknown, at: week - 1 }
}

/** The member's word that a planned deload is trained as written, where the week is one and the word is not used up. */
function skipOf(
  { deloads }: Course,
  { skips }: Evidence,
  day: Day,
  { phase, phaseWeek, toTest, whom }: { phase: Phase; phaseWeek: number; toTest: number | null; whom: Whom },
): Id | null {
  const word = skips.find(({ id, from }) => from <= day && !deloads.includes(id))
  if (!word) return null
  const spot = weekSpot(phase.id, phaseWeek, toTest)
  const isDeloadWeek = phase.deloads.some(({ where }) => isFor(where, whom) && actsInWeek(where, spot))
  return isDeloadWeek ? word.id : null
}

/** Every change of a week's days: the track's, the phase's deloads', and the member's own deload's. */
function weekChanges(
  template: Template,
  whom: Whom,
  phase: Phase,
  ownDeload: OwnDeload | null,
  skipsDeload: boolean,
): Authored[] {
  const own = trackChanges(template, whom.track)
  const planned = plannedDeload(phase, ownDeload ?? undefined, skipsDeload, whom)
  if (!ownDeload) return own.length ? [...own, ...planned] : planned
  return [...own, ...planned, ...ownDeloadChanges(ownDeload)]
}

function weekOf(changes: Authored[], phase: Phase, phaseWeek: number, toTest: number | null): WeekDraft {
  let week: WeekDraft = phase
  for (const { adjustment, label } of changes) {
    const { do: change, where } = adjustment
    const { onWeek } = changeOf[change.kind]
    if (onWeek && actsOn(where, weekSpot(phase.id, phaseWeek, toTest)))
      week = onWeek(week, change, label)?.now ?? week
  }
  return week
}

/**
 * Makes sure that a week is running that fits the day: the next one where the last is over; and, where nothing of it has been
 * started yet on the own clock, opened anew under what is known today. A segment that begins with a session takes the rest of
 * the week over, and a deload that was put in ends with its fact. False when the plan is over.
 */
export function standOn(fold: Fold, day: Day, evidence: Evidence): boolean {
  const { running } = fold.state.course
  if (isOverBefore(fold.enrolment, evidence, day)) {
    leaveOff(fold)
    return false
  }
  if (running?.from && (fold.isCalendar || placesLeft(running).length) && !isCutShort(running, evidence)) {
    takeOver(fold, running, day)
    return true
  }
  if (running?.from) endWeek(fold, 'skipped')
  else if (running) fold.state.course = unopened(fold.state.course, running)
  return open(fold, day, evidence)
}

/** Ends the running week for good: what is left of it is given up, and one that nothing was done in never was. */
export function leaveOff(fold: Fold): void {
  const { running } = fold.state.course
  if (!running) return
  if (Object.keys(running.taken).length) endWeek(fold, 'dropped')
  else fold.state.course = unopened(fold.state.course, running)
}

/** Whether a deload that was put in has been ended, or taken back, while it runs. */
const isCutShort = ({ isInserted, deload }: RunningWeek, { deloads }: Evidence): boolean =>
  isInserted && !deloads.some(({ id, to }) => id === deload && !to)

/** The course before a week was opened that nothing was done in. */
export function unopened(
  course: Course,
  { phase, phaseWeek, isInserted, deload, skips }: RunningWeek,
): Course {
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
export function takeOver({ enrolment, versions, state }: Fold, running: RunningWeek, day: Day): void {
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

/** Whether nothing of a week is under way: where a checkpoint serves best. */
export function isBetweenWeeks({ state: { course } }: Fold): boolean {
  const { running } = course
  return !running || !Object.keys(running.taken).length || !placesLeft(running).length
}
