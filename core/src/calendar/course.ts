import type { Id } from '../parsing/index.ts'
import type { Phase, Template } from '../template/index.ts'
import { addDays, daysBetween, type Day } from '../units/index.ts'

/**
 * How far an enrolment has come in its plan: the weeks that are over, and the one that is running. Small plain JSON. Weeks are
 * opened one after the other, since a sign, a test day or a deload of the member's own may change what the next one is.
 */
export type Course = {
  /** Weeks and places that are behind. */
  week: number
  positions: number
  /** The phase of the last week that is over, how many of its weeks, and how many places of its rotation. */
  phase: Id | null
  phaseWeek: number
  turn: number
  /** Phases that were begun: none is begun twice. */
  begun: Id[]
  /** Deloads of the member's own that have been given. */
  deloads: Id[]
  /** Weeks of phases that stood as such deloads: `phase/week`. */
  deloadWeeks: string[]
  /** On a calendar, the first day of the week that comes next. */
  nextFrom: Day | null
  running: RunningWeek | null
}

export type RunningWeek = {
  version: Id
  track: Id | null
  week: number
  phase: Id
  phaseWeek: number
  /** Places of the phase's rotation before this week. */
  turn: number
  /** Position of the first place. */
  first: number
  /** The session of each place, as it stood when the week began. */
  sessions: Id[]
  /** What became of the places that are taken, by place in the week. */
  taken: Record<number, Taken>
  /** First day: on a calendar its date, on the own clock that of its first session. */
  from: Day | null
  toTest: number | null
  /** A deload of the member's own, and whether it was put in before the plan's week. */
  deload: Id | null
  /** Which week of that spell it is, from 0; the first where nothing is said. */
  deloadAt?: number
  isInserted: boolean
  /** The planned deload here is trained as written, by this word of the member's. */
  skips?: Id
  /** 1, or more where the missed policy has the week done again. */
  attempt: number
}

export type Taken = 'trained' | 'skipped' | 'dropped'

export const startCourse = (from: Day): Course => ({
  week: 0,
  positions: 0,
  phase: null,
  phaseWeek: 0,
  turn: 0,
  begun: [],
  deloads: [],
  deloadWeeks: [],
  nextFrom: from,
  running: null,
})

// Courses are copied for each session: key by key, since copies that are spread have a hidden class each.

/** A course with another running week, or none. */
export const courseWith = (course: Course, running: RunningWeek | null): Course => ({
  week: course.week,
  positions: course.positions,
  phase: course.phase,
  phaseWeek: course.phaseWeek,
  turn: course.turn,
  begun: course.begun,
  deloads: course.deloads,
  deloadWeeks: course.deloadWeeks,
  nextFrom: course.nextFrom,
  running,
})

/** A running week with what became of its places, and its first day. */
export function weekWith(week: RunningWeek, taken: RunningWeek['taken'], from = week.from): RunningWeek {
  const made: RunningWeek = {
    version: week.version,
    track: week.track,
    week: week.week,
    phase: week.phase,
    phaseWeek: week.phaseWeek,
    turn: week.turn,
    first: week.first,
    sessions: week.sessions,
    taken,
    from,
    toTest: week.toTest,
    deload: week.deload,
    isInserted: week.isInserted,
    attempt: week.attempt,
  }
  if (week.deloadAt !== undefined) made.deloadAt = week.deloadAt
  if (week.skips !== undefined) made.skips = week.skips
  return made
}

/** What became of the places of a week, with one more. */
export function takenWith({ taken, sessions }: RunningWeek, inWeek: number, as: Taken): RunningWeek['taken'] {
  const made: RunningWeek['taken'] = {}
  for (let i = 1; i <= sessions.length; i++) {
    const was = i === inWeek ? as : taken[i]
    if (was) made[i] = was
  }
  return made
}

/** What is known when a week is opened. */
export type Opening = {
  template: Template
  version: Id
  track: Id | null
  isCalendar: boolean
  testDay: Day | null
  /** Whether the sign of a phase shows now. */
  shows(phase: Phase): boolean
  /** The week's days and sessions after the track's changes. */
  weekOf(
    phase: Phase,
    phaseWeek: number,
    toTest: number | null,
    skipsDeload: boolean,
  ): { rotation: Id[]; perWeek: number }
  /** The member's own deload that waits, if one does, and how many of its spell there were. */
  deload: { id: Id; at: number; shift: boolean } | null
  /** What has a planned deload trained as it is written, where this is one. */
  skip(phase: Phase, phaseWeek: number, toTest: number | null): Id | null
  /** Whether the member has left a phase for the next one. */
  hasLeft(phase: Phase): boolean
  /** The week that is to be opened, whichever would come next. */
  named?: { phase: Id; week: number } | undefined
}

/** The course with its next week open, or null when the plan is over. */
export function openWeek(course: Course, opening: Opening): (Course & { running: RunningWeek }) | null {
  const { template, version, track, isCalendar, deload } = opening
  const up = opening.named ? namedUp(course, opening, opening.named) : nextUp(course, opening)
  if (!up) return null
  const { phase, phaseWeek, turn, toTest } = up
  const skip = opening.skip(phase, phaseWeek, toTest)
  const { rotation, perWeek } = opening.weekOf(phase, phaseWeek, toTest, skip !== null)
  const sessions = sessionsOf(template, rotation, turn, perWeek)
  const running: RunningWeek = {
    version,
    track,
    week: course.week + 1,
    phase: phase.id,
    phaseWeek,
    turn,
    first: course.positions + 1,
    sessions,
    taken: {},
    from: isCalendar ? course.nextFrom : null,
    toTest,
    deload: deload?.id ?? null,
    isInserted: deload !== null && deload.shift && !isCalendar,
    attempt: 1,
  }
  if (deload) running.deloadAt = deload.at
  if (skip !== null) running.skips = skip
  const opened = courseWith(course, running)
  if (!course.begun.includes(phase.id)) opened.begun = [...course.begun, phase.id]
  if (deload || skip !== null)
    opened.deloads = [...course.deloads, ...(deload ? [deload.id] : []), ...(skip === null ? [] : [skip])]
  return opened as Course & { running: RunningWeek }
}

function sessionsOf(template: Template, rotation: Id[], turn: number, perWeek: number): Id[] {
  const sessions: Id[] = []
  for (let i = 0; i < perWeek; i++) {
    const session = sessionAt(template, rotation, turn + i)
    if (session !== undefined) sessions.push(session)
  }
  return sessions
}

/** The session whose turn it is in a rotation, where what the version no longer has is passed over. */
export function sessionAt({ sessions }: Template, rotation: Id[], turn: number): Id | undefined {
  if (rotation.every((session) => sessions[session])) return rotation[turn % rotation.length]
  const known = rotation.filter((session) => sessions[session])
  return known[turn % known.length]
}

type Up = { phase: Phase; phaseWeek: number; turn: number; toTest: number | null }

/** A week of a phase of the template, by its name. */
function namedUp(course: Course, opening: Opening, named: { phase: Id; week: number }): Up | null {
  const phase = opening.template.phases.find(({ id }) => id === named.phase)
  if (!phase) return null
  const { week: phaseWeek } = named
  const turn = course.phase === phase.id ? course.turn : 0
  return { phase, phaseWeek, turn, toTest: weeksToTest(phase, phaseWeek, course, opening) }
}

/** Which week of which phase comes next: the same phase until it is over, then the first that was never begun. */
function nextUp(course: Course, opening: Opening): Up | null {
  const { phases } = opening.template
  const current = phases.find(({ id }) => id === course.phase)
  if (current) {
    const toTest = weeksToTest(current, course.phaseWeek + 1, course, opening)
    if (!isOver(current, course, toTest, opening))
      return { phase: current, phaseWeek: course.phaseWeek + 1, turn: course.turn, toTest }
  }
  const next = phases.find(({ id }) => !course.begun.includes(id))
  const toTest = next ? weeksToTest(next, 1, course, opening) : null
  // A countdown whose test day has passed is not begun.
  return next && (toTest ?? 0) >= 0 ? { phase: next, phaseWeek: 1, turn: 0, toTest } : null
}

function isOver(
  phase: Phase,
  { phaseWeek, nextFrom }: Course,
  toTest: number | null,
  opening: Opening,
): boolean {
  if (phase.ends && opening.testDay && nextFrom && opening.isCalendar) return (toTest ?? 0) < 0
  if (opening.hasLeft(phase)) return true
  if (typeof phase.weeks === 'number') return phaseWeek >= phase.weeks
  if (phaseWeek >= phase.weeks.most) return true
  return phaseWeek >= phase.weeks.least && opening.shows(phase)
}

/**
 * Weeks from a week to the test day's, 0 for that week itself, below 0 after it; null in a phase that does not end with a test
 * day. Where no test day is known the last week on paper is the test's.
 */
function weeksToTest(
  { ends, weeks }: Phase,
  phaseWeek: number,
  { nextFrom }: Course,
  { testDay, isCalendar }: Opening,
): number | null {
  if (!ends) return null
  if (testDay && nextFrom && isCalendar) return Math.floor(daysBetween(nextFrom, testDay) / 7)
  return Math.max(0, (typeof weeks === 'number' ? weeks : weeks.most) - phaseWeek)
}

/** The place of the running week that a position names, from 1, or null where it is another week's. */
export function inWeekOf({ running }: Course, position: number): number | null {
  if (!running) return null
  const inWeek = position - running.first + 1
  return inWeek >= 1 && inWeek <= running.sessions.length ? inWeek : null
}

export function placesLeft({ sessions, taken }: RunningWeek): number[] {
  const left: number[] = []
  for (let inWeek = 1; inWeek <= sessions.length; inWeek++) if (!taken[inWeek]) left.push(inWeek)
  return left
}

/** The course after its running week, whose places are all taken or given up. */
export function closeWeek(course: Course): Course {
  const { running } = course
  if (!running) return course
  const { sessions, phase, phaseWeek, turn, first, week, from, deload, isInserted } = running
  const stoodDeload = deload !== null && !isInserted
  return {
    week,
    positions: first + sessions.length - 1,
    phase,
    phaseWeek: isInserted ? phaseWeek - 1 : phaseWeek,
    turn: isInserted ? turn : turn + sessions.length,
    begun: course.begun,
    deloads: course.deloads,
    deloadWeeks: stoodDeload ? [...course.deloadWeeks, `${phase}/${phaseWeek}`] : course.deloadWeeks,
    // On the own clock dates are only guessed at, a week apart; nothing but the choice of a version reads them.
    nextFrom: from ? addDays(from, 7) : course.nextFrom,
    running: null,
  }
}

/** What becomes of the places that are left when a week's dates are over. */
export function endByDate(course: Course, missed: Template['missed']): Course {
  const { running } = course
  if (!running) return course
  const left = placesLeft(running)
  if (left.length && running.from && (missed === 'shift' || missed === 'repeat')) {
    const from = addDays(running.from, 7)
    const again = missed === 'repeat' && Object.keys(running.taken).length > 0
    return {
      ...course,
      running: again ? { ...running, from, taken: {}, attempt: running.attempt + 1 } : { ...running, from },
    }
  }
  return closeWeek(giveUp(course, 'dropped'))
}

/** Gives up the places that are left of the running week. */
export function giveUp(course: Course, as: Taken): Course {
  const { running } = course
  if (!running) return course
  const left = placesLeft(running)
  if (!left.length) return course
  const taken = { ...running.taken }
  for (const inWeek of left) taken[inWeek] = as
  return courseWith(course, weekWith(running, taken))
}
