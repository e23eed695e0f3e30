import { addDays, type Day } from '../units/index.ts'
import type { Evidence } from '../evidence/index.ts'
import type { Plan, PlannedWeek } from '../plan/index.ts'

export type MemberEvent = Evidence['events'][number]

/** A week of a plan with the days that it takes: those that it took, or will take if one week follows the other from here. */
export type WeekDays = { week: number; from: Day; to: Day }

/**
 * The days of the weeks of a plan. On a calendar they are set. On the own clock a week that was trained has the days from its first
 * session on, the running one begins with its first session or today, and each one ahead is taken to follow after seven days.
 */
export function daysOfWeeks({ weeks }: Plan, today: Day): WeekDays[] {
  const days: WeekDays[] = []
  for (const week of weeks) {
    const before = days.at(-1)
    const from = week.from ?? firstTrained(week) ?? laterOf(today, before && addDays(before.to, 1))
    if (before && before.to >= from) before.to = laterOf(before.from, addDays(from, -1))
    const isRunning =
      week.from === undefined && week.places.some(({ status }) => status === 'next' || status === 'open')
    const to = addDays(from, 6)
    days.push({ week: week.week, from, to: isRunning ? laterOf(to, today) : to })
  }
  return days
}

const firstTrained = ({ places }: PlannedWeek): Day | undefined =>
  places.flatMap(({ date }) => date ?? []).sort()[0]

const laterOf = (a: Day, b: Day | undefined): Day => (b !== undefined && b > a ? b : a)

/** The events of a member that fall into each week of their plan. */
export function eventsOfWeeks(
  plan: Plan,
  { events }: Pick<Evidence, 'events'>,
  today: Day,
): Map<number, MemberEvent[]> {
  const found = new Map<number, MemberEvent[]>()
  if (!events.length) return found
  for (const { week, from, to } of daysOfWeeks(plan, today)) {
    const own = events.filter(({ on, to: until = on }) => on <= to && until >= from)
    if (own.length) found.set(week, own)
  }
  return found
}
