import type { Enrolment, Segment, SessionLog } from '../member/index.ts'
import type { Id } from '../parsing/index.ts'
import { addDays, type Day } from '../units/index.ts'
import type { Checkpoint } from './replay/checkpoint.ts'
import type { Fold } from './state/fold.ts'
import type { Plan } from './types.ts'

/** Enrolments that have begun, and those that wait for another to be over. */
export type Begun = { begun: Enrolment[]; waiting: Enrolment[] }

/**
 * Enrolments that follow no other, and followers that a checkpoint knows to have begun. A follower of one that is no longer there follows none.
 */
export function begunIn(enrolments: readonly Enrolment[], checkpoint: Checkpoint | null | undefined): Begun {
  const ids = new Set(enrolments.map(({ id }) => id))
  const begun: Enrolment[] = []
  const waiting: Enrolment[] = []
  for (const one of enrolments) {
    const follows = one.after !== undefined && ids.has(one.after)
    const from = follows ? checkpoint?.starts[one.id] : startOf(one)
    if (from === undefined) waiting.push(one)
    else begun.push(beginningOn(one, from))
  }
  return { begun, waiting }
}

/**
 * With the followers that have begun by a day: what they follow is over, or they were trained all the same (a log beats the plan).
 */
export function withFollowers(
  { begun, waiting }: Begun,
  logs: readonly SessionLog[],
  overFrom: (id: Id) => Day | null,
  today: Day,
): Begun {
  const still: Enrolment[] = []
  const more = [...begun]
  for (const one of waiting) {
    const from = [followsFrom(one, overFrom), firstTrained(one, logs)].filter((day) => day !== null).sort()[0]
    if (from === undefined || from > today) still.push(one)
    else more.push(beginningOn(one, from))
  }
  return { begun: more, waiting: still }
}

function followsFrom(one: Enrolment, overFrom: (id: Id) => Day | null): Day | null {
  const over = overFrom(one.after as Id)
  return over !== null && over < startOf(one) ? startOf(one) : over
}

const firstTrained = ({ id }: Enrolment, logs: readonly SessionLog[]): Day | null =>
  logs.flatMap(({ enrolment, date }) => (enrolment === id ? [date] : [])).sort()[0] ?? null

/** From which day a program is over: all of it is done, or somebody has ended it; null while it goes on, or waits for what is still to be written. */
export function overOf({ state, isCalendar }: Fold, plan: Plan): Day | null {
  if (plan.over !== undefined) return plan.over
  if (plan.next !== null || plan.later) return null
  const { running, nextFrom } = state.course
  const weekEnds = running?.from ? addDays(running.from, 7) : nextFrom
  if (isCalendar && weekEnds) return weekEnds
  return state.lastDay === null ? null : addDays(state.lastDay, 1)
}

const startOf = ({ segments }: Enrolment): Day => segments[0]?.from ?? ''

/** The same, from a later day on: of what was to be in force before, only the last counts. */
function beginningOn(enrolment: Enrolment, from: Day): Enrolment {
  if (enrolment.after === undefined || from === startOf(enrolment)) return enrolment
  const { segments } = enrolment
  const at = segments.findLastIndex((one) => one.from <= from)
  const first: Segment = { ...(segments[Math.max(at, 0)] as Segment), from }
  return { ...enrolment, segments: [first, ...segments.slice(Math.max(at, 0) + 1)] }
}
