import type { Id } from '../../parsing/index.ts'
import {
  courseWith,
  inWeekOf,
  placesLeft,
  weekWith,
  type Place,
  type RunningWeek,
} from '../../calendar/index.ts'
import type { Evidence } from '../../evidence/index.ts'
import { placeNamed, type PlaceName, type SessionLog } from '../../member/index.ts'
import type { Phase } from '../../template/index.ts'
import { segmentOn, templateOf, type Fold } from '../state/fold.ts'
import { endWeek, open, standOn, takeOver, unopened } from './weeks.ts'

/**
 * The place of a log: the one that it names, whatever stands there now; where it names none, the one at its position. A place in a later
 * week gives up what is left before it. One of a week that is over is placed there, and takes no place.
 */
export function reach(fold: Fold, log: SessionLog, evidence: Evidence): Place | null {
  const { course } = fold.state
  const ended = fold.weeks.length
  const name = placeNamed(log)
  const inWeek = name ? walkToName(fold, name, log, evidence) : walkTo(fold, log, evidence)
  const { running } = fold.state.course
  if (inWeek !== null && running) {
    if (!running.from)
      fold.state.course = courseWith(fold.state.course, weekWith(running, running.taken, log.date))
    return placeAt(fold, running, inWeek, log)
  }
  // What names nothing gives nothing up.
  fold.state.course = course
  fold.weeks.length = ended
  return behind(fold, log, name)
}

/** More weeks than any plan has: places beyond them are nowhere. */
const mostWeeks = 400

function walkTo(fold: Fold, log: SessionLog, evidence: Evidence): number | null {
  if (!standOn(fold, log.date, evidence)) return null
  for (let weeks = 0; weeks < mostWeeks; weeks++) {
    const { running } = fold.state.course
    if (!running || log.position < running.first) return null
    const inWeek = inWeekOf(fold.state.course, log.position)
    if (inWeek !== null) return inWeek
    endWeek(fold, fold.isCalendar ? 'dropped' : 'skipped')
    if (!open(fold, log.date, evidence)) return null
  }
  return null
}

/**
 * To the week that a place names. Where the next week to open may be that one, it is opened as such: a phone that did not know of a deload or of
 * the end of a phase has trained it. A deload that was put in and that nobody has trained waits.
 */
function walkToName(fold: Fold, name: PlaceName, log: SessionLog, evidence: Evidence): number | null {
  const running = standOnNamed(fold, name, log)
  if (running) return dayIn(fold, running, name, log)
  standOn(fold, log.date, evidence)
  for (let weeks = 0; weeks < mostWeeks; weeks++) {
    const { running } = fold.state.course
    if (running && isOf(running, name)) return dayIn(fold, running, name, log)
    if (!running?.from && mayBeNext(fold, name)) {
      const opened = openNamed(fold, name, log, evidence)
      return opened && dayIn(fold, opened, name, log)
    }
    if (!running || !isAhead(fold, running, name)) return null
    if (running.isInserted && !running.from && !name.deload) {
      const planned = { phase: running.phase, week: running.phaseWeek, day: 1 }
      if (!openNamed(fold, planned, log, evidence)) return null
    } else {
      endWeek(fold, fold.isCalendar ? 'dropped' : 'skipped')
      open(fold, log.date, evidence)
    }
  }
  return null
}

/** The running week where a place names it and has not been taken, also where the week would be over by now. */
function standOnNamed(fold: Fold, name: PlaceName, log: SessionLog): RunningWeek | null {
  const { running } = fold.state.course
  if (!running?.from || !isOf(running, name)) return null
  if (!fold.isCalendar && !placesLeft(running).length && running.sessions[name.day - 1]) return null
  takeOver(fold, running, log.date)
  return fold.state.course.running
}

const isOf = (
  { phase, phaseWeek, isInserted, deload, deloadAt = 0 }: RunningWeek,
  name: PlaceName,
): boolean =>
  phase === name.phase &&
  phaseWeek === name.week &&
  (isInserted ? name.deload?.fact === deload && name.deload?.week === deloadAt + 1 : !name.deload)

/** Whether the week that opens next may be the named one: the next of its phase, or the first of a phase where the one before may be over. */
function mayBeNext({ state: { course }, versions }: Fold, { phase, week }: PlaceName): boolean {
  const { running } = course
  if (course.phase === phase) return week === course.phaseWeek + 1
  if (week !== 1) return false
  if (running?.phase === phase) return true
  if (course.begun.includes(phase)) return false
  const before = versions[running?.version ?? '']?.phases.find(({ id }) => id === course.phase)?.weeks
  return !running || (typeof before === 'object' && course.phaseWeek >= before.least)
}

/** Whether a place is in a week behind the running one. */
function isAhead(
  { state: { course } }: Fold,
  running: RunningWeek,
  { phase, week, deload }: PlaceName,
): boolean {
  if (phase !== running.phase) return !course.begun.includes(phase)
  if (week !== running.phaseWeek) return week > running.phaseWeek
  const at = (running.deloadAt ?? 0) + 1
  return running.isInserted && (deload?.fact !== running.deload || deload.week > at)
}

/** Opens the named week in the place of the one that would come next; null where neither version of the day nor that of the log has it. */
function openNamed(fold: Fold, name: PlaceName, log: SessionLog, evidence: Evidence): RunningWeek | null {
  const own = segmentOn(fold.enrolment, log.date).version
  const version = [own, log.shown?.version ?? own].find((id) =>
    fold.versions[id]?.phases.some((phase) => phase.id === name.phase),
  )
  if (version === undefined) return null
  const { running } = fold.state.course
  if (running) fold.state.course = unopened(fold.state.course, running)
  return open(fold, log.date, evidence, { name, version }) ? fold.state.course.running : null
}

/** The day of a week that a place names; one that the week does not have, and that was shown, comes last in it. */
function dayIn(
  { state }: Fold,
  running: RunningWeek,
  { day }: PlaceName,
  { shown }: SessionLog,
): number | null {
  const { sessions } = running
  if (day <= sessions.length) return day
  if (!shown) return null
  const more = [...sessions, shown.at.session]
  state.course = { ...state.course, running: { ...running, sessions: more } }
  return more.length
}

/** Where a session of a week that is over was shown; nowhere where nothing was shown. */
function behind(fold: Fold, log: SessionLog, name: PlaceName | null): Place | null {
  const at = log.shown?.at
  const template = log.shown && fold.versions[log.shown.version]
  const phase = template?.phases.find(({ id }) => id === at?.phase)
  if (!at || !phase || !template?.sessions[at.session]) return null
  const { week, phaseWeek, inWeek, session, toTest } = at
  const own = name && fold.weeks.findLast((one) => isOf(one, name))
  // What a phone counted it as may be another's position by now: a place that is known by its name alone has none.
  const counted = name ? 0 : log.position
  const position = own && inWeek <= own.sessions.length ? own.first + inWeek - 1 : counted
  const place: Place = { position, week, phaseWeek, inWeek, phase, session }
  if (toTest !== undefined) place.toTest = toTest
  return place
}

/** A place of the running week; the session that was shown there, if one was, goes before the one that would stand there now. */
export function placeAt(fold: Fold, week: RunningWeek, inWeek: number, log?: SessionLog): Place {
  const shown = log?.shown
  const isKnown = shown && fold.versions[shown.version]?.sessions[shown.at.session]
  const template = templateOf(fold, isKnown ? shown.version : week.version)
  const own = template.phases.find(({ id }) => id === week.phase)
  const asShown = isKnown ? template.phases.find(({ id }) => id === shown.at.phase) : undefined
  const place: Place = {
    position: week.first + inWeek - 1,
    week: week.week,
    phaseWeek: asShown && shown ? shown.at.phaseWeek : week.phaseWeek,
    inWeek,
    phase: (asShown ?? own) as Phase,
    session: (isKnown ? shown.at.session : week.sessions[inWeek - 1]) as Id,
  }
  if (week.toTest !== null) place.toTest = week.toTest
  return place
}
