import { goesOn, pauseOn, type Pause } from '../../facts/index.ts'
import { overFrom } from '../../member/index.ts'
import { liftOf } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import { actsInWeek, weekSpot } from '../../adjustments/index.ts'
import { closeWeek, endByDate, giveUp, placesLeft, type RunningWeek } from '../../calendar/index.ts'
import { lettersOf, type Phase, type Template } from '../../template/index.ts'
import { addDays, type Day } from '../../units/index.ts'
import { changesOf, isDeload } from '../compile/changes.ts'
import { forkFold, segmentOn, templateOf, type Fold, type Outcome, type Trained } from '../state/fold.ts'
import type { Evidence } from '../../evidence/index.ts'
import { situationAt } from '../replay/replay.ts'
import { assume } from './assume.ts'
import { lieOn, startTrail, tookDay, type Trail } from './lieOn.ts'
import { prescribe } from '../prescribe/prescribe.ts'
import type { Prescribed } from '../state/situation.ts'
import { withoutDeload } from './withoutDeload.ts'
import type { Doing, Plan, PlannedSession, PlannedSlot, PlannedWeek, When } from '../types.ts'
import { placeAt } from '../replay/reach.ts'
import { endWeek, leaveOff, open, standOn } from '../replay/weeks.ts'

/** No plan is longer. */
const mostWeeks = 200

/** Writes a fold's weeks: those behind as they were trained, those ahead as if each session before them were a hit. */
export function writeOut(fold: Fold, evidence: Evidence, { today, through, at, doing: doingIn }: When): Plan {
  const ahead = forkFold(fold)
  const over = overFrom(fold.enrolment, evidence)
  const isOver = over !== null && over <= today
  if (isOver) leaveOff(ahead)
  const isRunning = !isOver && standOn(ahead, today, evidence)
  const isShort = through === 'near' || through === 'next'
  const behind = through === 'near' ? lastTrained(ahead) : through === 'next' ? [] : ahead.weeks
  const weeks = behind.map((week) => weekBehind(ahead, week, evidence))
  const isWanted = (week: { phase: Id; phaseWeek: number } | undefined) =>
    typeof through === 'object' && week?.phase === through.phase && week.phaseWeek === through.phaseWeek
  let isReached = weeks.some(isWanted)
  const running = isRunning ? ahead.state.course.running : null
  const segment = segmentOn(fold.enrolment, today)
  const paused = pauseOn(evidence.pauses, fold.enrolment.id, today)
  const trail = startTrail(fold.state.lastDay, firstDay(fold, today, paused))
  let next: number | null = null
  let written = 0
  let from = today
  for (let count = 0; count < mostWeeks; count++) {
    const { running: week } = ahead.state.course
    if (!week) break
    if (isShort && written > 1 + (running && placesLeft(running).length ? 0 : 1)) break
    // It may stand twice, where it is done again: then the later one is wanted.
    if (isReached && !isWanted(week)) break
    isReached ||= isWanted(week)
    const day = week.from && week.from > from ? week.from : from
    const doing = doingIn?.(written + 1) ?? 'asked'
    weeks.push(
      weekAhead(ahead, week, {
        day,
        evidence,
        isFirst: next === null,
        at,
        doing,
        isNamed: through === 'next',
        trail,
      }),
    )
    next ??=
      weeks.at(-1)?.places.find(({ status }) => status === 'next' || status === 'open')?.position ?? null
    written += 1
    from = addDays(day, 7)
    if (doing === 'nothing' && isDoneAgain(ahead)) continue
    endWeek(ahead, 'dropped')
    if (!open(ahead, from, evidence)) break
  }
  const plan: Plan = {
    enrolment: fold.enrolment.id,
    version: running?.version ?? segment.version,
    track: running ? running.track : (segment.track ?? null),
    start: fold.enrolment.segments[0]?.from ?? today,
    weeks,
    next,
    lastWeek: isOver ? ahead.state.course.week : lastWeek(ahead, from, evidence),
  }
  if (over !== null) plan.over = over
  const { later } = templateOf(fold, plan.version)
  if (later && over === null) plan.later = later
  if (paused) plan.paused = paused
  return plan
}

/** The first day that a session to come may lie on: none before the program starts, or while it waits for the end of a pause; null where nobody knows that. */
function firstDay({ enrolment }: Fold, today: Day, paused: Pause | undefined): Day | null {
  const start = enrolment.segments[0]?.from ?? today
  const from = start > today ? start : today
  if (!paused || goesOn(paused)) return from
  return paused.to === null || paused.to > from ? paused.to : from
}

/** On a calendar, whether a week that nothing was done in is kept for the next one, as the missed policy says. */
function isDoneAgain(fold: Fold): boolean {
  const { running } = fold.state.course
  if (!fold.isCalendar || !running) return false
  const course = endByDate(fold.state.course, templateOf(fold, running.version).missed)
  if (course.running) fold.state.course = course
  return course.running !== null
}

/** The last week that is over, if anything was trained in it. */
function lastTrained({ weeks, trained }: Fold): RunningWeek[] {
  const last = weeks.at(-1)
  return last && trained.some(({ place }) => place.position >= last.first) ? [last] : []
}

/** The number of the last week, as the template would go on from here. */
function lastWeek(fold: Fold, day: Day, evidence: Evidence): number {
  for (let count = 0; count < mostWeeks; count++) {
    if (!fold.state.course.running && !open(fold, day, evidence)) break
    fold.state.course = closeWeek(giveUp(fold.state.course, 'dropped'))
  }
  return fold.state.course.week
}

function weekBehind(fold: Fold, week: RunningWeek, evidence: Evidence): PlannedWeek {
  const made = headOf(fold, week, evidence, null)
  made.places = week.sessions.map((_, i) => {
    const trained = trainedAt(fold, week.first + i, week.attempt)
    if (trained) return describe(fold, trained)
    return bare(fold, week, i + 1, week.taken[i + 1] === 'skipped' ? 'skipped' : 'dropped')
  })
  return made
}

type Ahead = {
  day: Day
  evidence: Evidence
  /** Whether nothing before it is still to come. */
  isFirst: boolean
  at: Id | undefined
  doing: Doing
  /** Whether what was trained is named alone. */
  isNamed: boolean
  trail: Trail
}

/** A week with places to come; what is prescribed for each is assumed to be done before the next. */
function weekAhead(
  fold: Fold,
  week: RunningWeek,
  { day, evidence, isFirst, at, doing, isNamed, trail }: Ahead,
): PlannedWeek {
  let isNext = isFirst
  let back: number | null = null
  const isAway = doing === 'nothing' && fold.isCalendar
  const places = week.sessions.map((_, i): PlannedSession => {
    const inWeek = i + 1
    const trained = trainedAt(fold, week.first + i, week.attempt)
    const taken = week.taken[inWeek]
    if (taken) {
      if (isNamed) return bare(fold, week, inWeek, taken)
      if (trained) return describe(fold, trained)
      return bare(fold, week, inWeek, taken === 'dropped' ? 'dropped' : 'skipped')
    }
    const place = placeAt(fold, week, inWeek)
    const where = trained ? trained.log.location : isNext ? at : undefined
    const situation = situationAt(fold, place, day, evidence, trained?.log, where)
    back ??= situation.back
    const { slots, changes } = prescribe(situation)
    const whole = slots.some(({ deload }) => deload) && !trained ? withoutDeload(situation) : null
    const outcomes = isAway ? null : assume(situation, slots, doing)
    const made = bare(fold, week, inWeek, isNext ? 'next' : 'ahead')
    isNext = false
    if (trained) {
      tookDay(trail, trained.log.date)
      return describe(fold, trained)
    }
    const on = lieOn(trail, {
      week,
      from: fold.isCalendar ? week.from : null,
      inWeek,
      phase: place.phase,
      evidence,
      template: situation.template,
    })
    if (on) made.on = on
    made.slots = plannedSlots(slots, evidence)
    made.changes = changes
    made.slots.forEach((slot, i) => {
      const offers = situation.template.slots[slot.slot]
      if (offers?.choices) slot.choices = [liftOf(offers), ...offers.choices]
      const was = slot.deload ? whole?.get(slot.slot) : undefined
      if (was) slot.withoutDeload = was
      const supposed = isAway ? 'skip' : outcomes?.[i]?.verdict
      if (doing !== 'asked' && supposed) slot.supposed = supposed
    })
    return made
  })
  const made = headOf(fold, week, evidence, back)
  made.places = places
  return made
}

/** A week with nothing in it yet. */
function headOf(fold: Fold, week: RunningWeek, evidence: Evidence, back: number | null): PlannedWeek {
  const template = templateOf(fold, week.version)
  const phase = template.phases.find(({ id }) => id === week.phase)
  // A week that was trained is what it was by the evidence of its own days.
  const then = fold.trained.find(({ place }) => place.week === week.week)?.evidence ?? evidence
  const made: PlannedWeek = {
    week: week.week,
    version: week.version,
    phase: week.phase,
    phaseName: phase?.name ?? week.phase,
    phaseWeek: week.phaseWeek,
    deload: week.isInserted || (phase !== undefined && hasDeload(template, phase, week, then, back)),
    places: [],
  }
  if (week.isInserted && week.deload) made.inserted = { fact: week.deload, week: (week.deloadAt ?? 0) + 1 }
  if (fold.isCalendar && week.from) made.from = week.from
  if (week.toTest !== null) made.toTest = week.toTest
  return made
}

/** A week is light if anything in it is. */
function hasDeload(
  template: Template,
  phase: Phase,
  week: RunningWeek,
  evidence: Evidence,
  back: number | null,
): boolean {
  const changes = changesOf(template, evidence, phase, week, back)
  const spot = weekSpot(week.phase, week.phaseWeek, week.toTest)
  return changes.some((one) => isDeload(one) && actsInWeek(one.adjustment.where, spot))
}

/** A place with nothing in it. */
function bare(
  fold: Fold,
  week: RunningWeek,
  inWeek: number,
  status: PlannedSession['status'],
): PlannedSession {
  const session = week.sessions[inWeek - 1] ?? ''
  return {
    position: week.first + inWeek - 1,
    attempt: week.attempt,
    inWeek,
    session,
    name: templateOf(fold, week.version).sessions[session]?.name ?? session,
    status,
    slots: [],
    changes: [],
  }
}

function trainedAt({ trained }: Fold, position: number, attempt: number): Trained | undefined {
  for (let i = trained.length - 1; i >= 0; i--) {
    const one = trained[i] as Trained
    if (one.place.position === position && one.log.attempt === attempt) return one
  }
  return undefined
}

function describe(fold: Fold, { place, log, isOver, outcomes, evidence }: Trained): PlannedSession {
  const isSkipped = outcomes.every(({ verdict }) => verdict === 'skip')
  const version = log.shown?.version ?? ''
  const template = fold.versions[version] ?? templateOf(fold, segmentOn(fold.enrolment, log.date).version)
  return {
    position: place.position,
    attempt: log.attempt,
    inWeek: place.inWeek,
    session: place.session,
    name: template.sessions[place.session]?.name ?? place.session,
    status: !isOver ? 'open' : isSkipped ? 'skipped' : 'trained',
    slots: describeSlots(outcomes, evidence),
    changes: [],
    date: log.date,
    log: log.id,
  }
}

function describeSlots(outcomes: Outcome[], evidence: Evidence): PlannedSlot[] {
  const slots = plannedSlots(
    outcomes.map(({ prescribed }) => prescribed),
    evidence,
  )
  outcomes.forEach(({ verdict, because, done }, i) => {
    const slot = slots[i] as PlannedSlot
    slot.verdict = verdict
    if (because) slot.because = because
    slot.done = done
  })
  return slots
}

/** The slots of a session before it is trained, with their letters. */
function plannedSlots(prescribed: Prescribed[], evidence: Evidence): PlannedSlot[] {
  const letters = lettersOf(prescribed)
  return prescribed.map(({ id, slot, own, deload, warmUps, prescriptions, needs }, i) => {
    const { exercise, variant, note } = slot
    const planned: PlannedSlot = {
      slot: id,
      exercise,
      letter: letters[i] as string,
      deload,
      sets: prescriptions,
      needs,
    }
    if (warmUps) planned.warmUps = warmUps
    if (slot.circuit) planned.circuit = slot.circuit
    if (variant) planned.variant = variant
    if (note) planned.note = note
    const last = evidence.last[own.lift]
    if (last) planned.last = last
    return planned
  })
}
