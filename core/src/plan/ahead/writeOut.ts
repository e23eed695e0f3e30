import type { Id } from '../../parsing/index.ts'
import { actsOn } from '../../adjustments/index.ts'
import { closeWeek, endByDate, giveUp, placesLeft, type RunningWeek } from '../../calendar/index.ts'
import { liftKey } from '../../library/index.ts'
import { lettersOf } from '../../template/index.ts'
import { addDays, type Day } from '../../units/index.ts'
import { changesOf, isDeload } from '../compile/changes.ts'
import { forkFold, segmentOn, templateOf, type Fold, type Outcome, type Trained } from '../state/fold.ts'
import type { Evidence } from '../../evidence/index.ts'
import { situationAt } from '../replay/replay.ts'
import { assume } from './assume.ts'
import { prescribe } from '../prescribe/prescribe.ts'
import type { Prescribed } from '../state/situation.ts'
import { withoutDeload } from './withoutDeload.ts'
import type { Doing, Plan, PlannedSession, PlannedSlot, PlannedWeek, When } from '../types.ts'
import { placeAt } from '../replay/reach.ts'
import { endWeek, open, standOn } from '../replay/weeks.ts'

/** No plan is longer. */
const mostWeeks = 200

/** Writes a fold's weeks: those behind as they were trained, those ahead as if each session before them were a hit. */
export function writeOut(fold: Fold, evidence: Evidence, { today, through, at, doing: doingIn }: When): Plan {
  const ahead = forkFold(fold)
  const isRunning = standOn(ahead, today, evidence)
  const behind = through === 'near' ? lastTrained(ahead) : ahead.weeks
  const weeks = behind.map((week) => weekBehind(ahead, week, evidence))
  const isWanted = (week: { phase: Id; phaseWeek: number } | undefined) =>
    typeof through === 'object' && week?.phase === through.phase && week.phaseWeek === through.phaseWeek
  let isReached = weeks.some(isWanted)
  const running = isRunning ? ahead.state.course.running : null
  const segment = segmentOn(fold.enrolment, today)
  let next: number | null = null
  let written = 0
  let from = today
  for (let count = 0; count < mostWeeks; count++) {
    const { running: week } = ahead.state.course
    if (!week) break
    if (through === 'near' && written > 1 + (running && placesLeft(running).length ? 0 : 1)) break
    // It may stand twice, where it is done again: then the later one is wanted.
    if (isReached && !isWanted(week)) break
    isReached ||= isWanted(week)
    const day = week.from && week.from > from ? week.from : from
    const doing = doingIn?.(written + 1) ?? 'asked'
    weeks.push(weekAhead(ahead, week, day, evidence, next === null, at, doing))
    next ??=
      weeks.at(-1)?.places.find(({ status }) => status === 'next' || status === 'open')?.position ?? null
    written += 1
    from = addDays(day, 7)
    if (doing === 'nothing' && isDoneAgain(ahead)) continue
    endWeek(ahead, 'dropped')
    if (!open(ahead, from, evidence)) break
  }
  return {
    enrolment: fold.enrolment.id,
    version: running?.version ?? segment.version,
    track: running ? running.track : (segment.track ?? null),
    start: fold.enrolment.segments[0]?.from ?? today,
    weeks,
    next,
    lastWeek: lastWeek(ahead, from, evidence),
  }
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
  return {
    ...headOf(fold, week, evidence, false),
    places: week.sessions.map((_, i) => {
      const position = week.first + i
      const trained = trainedAt(fold, position, week.attempt)
      if (trained) return describe(fold, trained)
      const taken = week.taken[i + 1]
      return {
        ...bare(fold, week, i + 1),
        status: taken === 'skipped' ? 'skipped' : 'dropped',
        slots: [],
        changes: [],
      }
    }),
  }
}

/** A week with places to come; what is prescribed for each is assumed to be done before the next. */
function weekAhead(
  fold: Fold,
  week: RunningWeek,
  day: Day,
  evidence: Evidence,
  isFirst: boolean,
  at: Id | undefined,
  doing: Doing,
): PlannedWeek {
  let isNext = isFirst
  let isBack = false
  const places = week.sessions.map((_, i): PlannedSession => {
    const inWeek = i + 1
    const trained = trainedAt(fold, week.first + i, week.attempt)
    if (week.taken[inWeek]) {
      if (trained) return describe(fold, trained)
      const status = week.taken[inWeek] === 'dropped' ? 'dropped' : 'skipped'
      return { ...bare(fold, week, inWeek), status, slots: [], changes: [] }
    }
    const place = placeAt(fold, week, inWeek)
    const situation = situationAt(
      fold,
      place,
      day,
      evidence,
      trained?.log,
      trained ? trained.log.location : isNext ? at : undefined,
    )
    isBack ||= situation.changes.some(({ author }) => author === 'back')
    const { slots, changes } = prescribe(situation)
    const whole = slots.some(({ deload }) => deload) && !trained ? withoutDeload(situation) : null
    const isAway = doing === 'nothing' && fold.isCalendar
    const outcomes = isAway ? null : assume(situation, slots, doing)
    const status = isNext ? 'next' : 'ahead'
    isNext = false
    if (trained) return describe(fold, trained)
    return {
      ...bare(fold, week, inWeek),
      status,
      slots: plannedSlots(slots, evidence).map((slot, i) => {
        const was = slot.deload ? whole?.get(slot.slot) : undefined
        const supposed = isAway ? 'skip' : outcomes?.[i]?.verdict
        return {
          ...slot,
          ...(was && { withoutDeload: was }),
          ...(doing !== 'asked' && supposed && { supposed }),
        }
      }),
      changes,
    }
  })
  return { ...headOf(fold, week, evidence, isBack), places }
}

function headOf(
  fold: Fold,
  week: RunningWeek,
  evidence: Evidence,
  isBack: boolean,
): Omit<PlannedWeek, 'places'> {
  const template = templateOf(fold, week.version)
  const phase = template.phases.find(({ id }) => id === week.phase)
  const spot = {
    phase: week.phase,
    phaseWeek: week.phaseWeek,
    ...(week.toTest !== null && { toTest: week.toTest }),
  }
  const deload =
    week.isInserted ||
    (phase !== undefined &&
      changesOf(template, evidence, phase, week, isBack).some(
        (one) => isDeload(one) && actsOn({ ...one.adjustment.where, ...anywhere }, spot),
      ))
  return {
    week: week.week,
    version: week.version,
    phase: week.phase,
    phaseName: phase?.name ?? week.phase,
    phaseWeek: week.phaseWeek,
    deload,
    ...(week.isInserted &&
      week.deload && { inserted: { fact: week.deload, week: (week.deloadAt ?? 0) + 1 } }),
    ...(fold.isCalendar && week.from && { from: week.from }),
    ...(week.toTest !== null && { toTest: week.toTest }),
  }
}

/** A week is light if anything in it is. */
const anywhere = { sessions: undefined, slots: undefined, lifts: undefined, muscles: undefined }

function bare(fold: Fold, week: RunningWeek, inWeek: number) {
  const session = week.sessions[inWeek - 1] ?? ''
  const name = templateOf(fold, week.version).sessions[session]?.name ?? session
  return { position: week.first + inWeek - 1, attempt: week.attempt, inWeek, session, name }
}

const trainedAt = ({ trained }: Fold, position: number, attempt: number): Trained | undefined =>
  trained.findLast(({ place, log }) => place.position === position && log.attempt === attempt)

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
    date: log.date,
    log: log.id,
    slots: describeSlots(outcomes, evidence),
    changes: [],
  }
}

function describeSlots(outcomes: Outcome[], evidence: Evidence): PlannedSlot[] {
  const slots = plannedSlots(
    outcomes.map(({ prescribed }) => prescribed),
    evidence,
  )
  outcomes.forEach(({ verdict, because, done }, i) =>
    Object.assign(slots[i] as PlannedSlot, { verdict, ...(because && { because }), done }),
  )
  return slots
}

/** The slots of a session before it is trained, with their letters. */
function plannedSlots(prescribed: Prescribed[], evidence: Evidence): PlannedSlot[] {
  const letters = lettersOf(prescribed)
  return prescribed.map(({ id, slot, deload, warmUps, prescriptions, needs }) => {
    const { exercise, variant, note } = slot
    const planned: PlannedSlot = {
      slot: id,
      exercise,
      letter: letters[id] ?? '',
      deload,
      sets: prescriptions,
      needs,
    }
    if (warmUps) planned.warmUps = warmUps
    if (slot.circuit) planned.circuit = slot.circuit
    if (variant) planned.variant = variant
    if (note) planned.note = note
    const last = evidence.last[liftKey(slot)]
    if (last) planned.last = last
    return planned
  })
}
