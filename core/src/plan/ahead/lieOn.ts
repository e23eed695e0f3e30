import type { RunningWeek } from '../../calendar/index.ts'
import type { Evidence } from '../../evidence/index.ts'
import type { Layout, Phase, Template } from '../../template/index.ts'
import { addDays, weekdayName, weekdayOf, type Day } from '../../units/index.ts'
import { declareSteps, type WhyStep } from '../../words/index.ts'
import type { OnDay } from '../types.ts'

const say = declareSteps({
  'layout.rest': '{days} days of rest after {session}',
  'layout.running': 'at most {days} days in a row',
  'layout.weekday': 'its weekday is {weekday}',
  'layout.overdue': 'it was due on {day}',
  'layout.yours': 'one of the usual days of the profile',
  'layout.sameDay': 'the same date as {session}, at least {hours} h after it',
})
export const layoutMessages = say.messages

/** The way along which sessions to come are laid out. Written in place. */
export type Trail = {
  /** No session to come lies earlier; null where they have no days yet. */
  from: Day | null
  /** The day of the session before. */
  last: Day | null
  /** The days running that it ends, where it lies ahead. */
  running: number | null
}

export const startTrail = (last: Day | null, from: Day | null): Trail => ({ last, from, running: null })

/** A session that was trained on a day, and is not over. */
export function tookDay(trail: Trail, day: Day): void {
  if (trail.last === null || trail.last < day) trail.last = day
}

/** `from`: on a calendar, the week’s first day. */
type Spot = {
  week: RunningWeek
  from: Day | null
  inWeek: number
  phase: Phase
  template: Template
  evidence: Evidence
}

/**
 * The day of a session to come: the first that its phase's layout and the member's usual days allow, if each session before it is trained on its
 * own day. Undefined where the phase has no layout, and on a calendar where its week has no such day left.
 */
export function lieOn(trail: Trail, spot: Spot): OnDay | undefined {
  const { week, from, inWeek, phase, template, evidence } = spot
  const { layout } = phase
  const earliest = trail.from
  if (!layout || earliest === null) return undefined
  const before = sessionBefore(phase, week, inWeek)
  const session = (before && template.sessions[before.session]?.name) ?? ''
  const pair = isGivenUp(week, inWeek - 1) ? undefined : pairOf(layout, inWeek)
  if (pair && trail.last !== null && trail.last >= earliest) {
    const { hours } = pair
    return { day: trail.last, hours, why: [say('layout.sameDay', { session, hours })] }
  }
  const rests = before ? (layout.rest?.filter((after) => after === before.number).length ?? 0) : 0
  const rested = trail.last === null ? earliest : addDays(trail.last, 1 + rests)
  const first = latest(earliest, rested, from ?? earliest)
  const why: WhyStep[] = []
  if (rests && first === rested) why.push(say('layout.rest', { days: rests, session }))
  const day = allowedFrom(first, { trail, layout, spot, isPair: pair !== undefined }, why)
  if (from && day > addDays(from, 6)) return undefined
  trail.running = runningOn(day, trail, evidence)
  trail.last = day
  return { day, why }
}

const latest = (...days: Day[]): Day => days.reduce((a, b) => (a > b ? a : b))

const pairOf = ({ sameDay }: Layout, inWeek: number) => sameDay?.find(({ first }) => first === inWeek - 1)

const isGivenUp = ({ taken }: RunningWeek, inWeek: number): boolean =>
  taken[inWeek] === 'skipped' || taken[inWeek] === 'dropped'

/** The session that the rotation has before one, and its number in it; none before the first of a phase. */
function sessionBefore(
  { rotation }: Phase,
  { turn, sessions }: RunningWeek,
  inWeek: number,
): { session: string; number: number } | undefined {
  const at = turn + inWeek - 2
  if (at < 0) return undefined
  const written = rotation[at % rotation.length] as string
  // A track or a deload may have another rotation: then a session rests as it does where the phase has it first.
  const session = inWeek > 1 ? (sessions[inWeek - 2] as string) : written
  return { session, number: (session === written ? at % rotation.length : rotation.indexOf(session)) + 1 }
}

type Asked = { trail: Trail; layout: Layout; spot: Spot; isPair: boolean }

/** No session is looked for further off. */
const mostDays = 60

/** The first day from one on that is allowed, and what keeps earlier ones from it. */
function allowedFrom(first: Day, { trail, layout, spot, isPair }: Asked, why: WhyStep[]): Day {
  const { evidence, from, inWeek } = spot
  const { weekdays: own, most = 7 } = evidence.days
  const weekday = layout.weekdays?.[inWeek - 1]
  if (!own.length && weekday !== undefined && layout.weekdays) {
    const due = from ? dueIn(from, layout.weekdays, inWeek) : dueAfter(trail.last, first, weekday, isPair)
    why.push(
      due < first
        ? say('layout.overdue', { day: due })
        : say('layout.weekday', { weekday: weekdayName(weekday) }),
    )
    return latest(due, first)
  }
  const running = Math.min(layout.running ?? 7, most)
  const isOn = (day: Day) => !own.length || own.includes(weekdayOf(day))
  const isRested = (day: Day) => running > 6 || runningOn(day, trail, evidence) <= running
  let day = first
  for (let count = 0; count < mostDays && !(isOn(day) && isRested(day)); count++) day = addDays(day, 1)
  if (!isOn(first)) why.push(say('layout.yours', {}))
  if (!isRested(first)) why.push(say('layout.running', { days: running }))
  return day
}

/** On the own clock, the weekday that comes after the session before, or on its day where the two share one. */
function dueAfter(last: Day | null, first: Day, weekday: number, isPair: boolean): Day {
  if (last === null) return onOrAfter(first, weekday)
  return onOrAfter(isPair ? last : addDays(last, 1), weekday)
}

/** On a calendar, the week's days with those weekdays in order: one for each session. */
function dueIn(from: Day, weekdays: number[], inWeek: number): Day {
  const days = weekdays.map((weekday) => onOrAfter(from, weekday)).sort()
  return days[inWeek - 1] as Day
}

const onOrAfter = (day: Day, weekday: number): Day => addDays(day, (weekday - weekdayOf(day) + 7) % 7)

/** The days running that a session on a day would end. */
function runningOn(day: Day, { last, running }: Trail, { trainedOn }: Evidence): number {
  const known = running === null || last === null ? trainedOn : { day: last, running }
  if (known?.day === day) return known.running
  return known && addDays(known.day, 1) === day ? known.running + 1 : 1
}
