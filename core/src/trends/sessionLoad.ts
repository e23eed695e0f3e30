import type { SessionLog } from '../member/index.ts'
import { addDays, weekdayOf, type Day } from '../units/index.ts'

/**
 * A week of sessions by how hard they were: `days` are the loads of its seven days, in units of hardness (0 to 10) times minutes, and 0 on a day
 * without a session. `unrated` sessions have no hardness or no minutes, and count nowhere.
 */
export type LoadWeek = {
  from: Day
  days: number[]
  load: number
  /** The mean of the days by their sample standard deviation (n − 1); null while the week runs, where sessions are unrated, or days are all alike. */
  monotony: number | null
  /** Load times monotony. */
  strain: number | null
  sessions: number
  unrated: number
}

/**
 * Loads of a session: how hard it was as a whole, from 0 to 10, times its minutes; null where either is unknown. 7 for 60 minutes is 420.
 * Foster C et al. A new approach to monitoring exercise training. J Strength Cond Res 15(1), 2001, 109-115. (Cited from memory.)
 */
export function sessionLoad({ answers }: Pick<SessionLog, 'answers'>): number | null {
  if (answers?.hard === undefined || answers.minutes === undefined) return null
  return answers.hard * answers.minutes
}

/**
 * The last weeks up to today, the running one last, each from one weekday (1 Monday to 7 Sunday). Weeks before the first session are left out.
 * Monotony and strain: Foster C. Monitoring training in athletes with reference to overtraining syndrome. Med Sci Sports Exerc 30(7), 1998,
 * 1164-1168. (Cited from memory; which deviation is meant is read differently, so it is stated here: the sample's, with n − 1.)
 */
export function loadWeeks(logs: SessionLog[], today: Day, firstWeekday = 1, count = 6): LoadWeek[] {
  const trained = logs.filter(({ date, sets, waits }) => date <= today && !waits && sets.length > 0)
  const running = addDays(today, -((weekdayOf(today) - firstWeekday + 7) % 7))
  const weeks = Array.from({ length: count }, (_, i) => addDays(running, -7 * (count - 1 - i)))
  const first = trained.reduce<Day | null>((a, { date }) => (a === null || date < a ? date : a), null)
  return weeks
    .filter((from) => first !== null && addDays(from, 6) >= first)
    .map((from) => weekOf(trained, from, from === running))
}

function weekOf(trained: SessionLog[], from: Day, isRunning: boolean): LoadWeek {
  const days = Array.from({ length: 7 }, (_, i) => addDays(from, i))
  const own = trained.filter(({ date }) => date >= from && date <= (days[6] as Day))
  const loads = days.map((day) =>
    own.filter(({ date }) => date === day).reduce((sum, log) => sum + (sessionLoad(log) ?? 0), 0),
  )
  const unrated = own.filter((log) => sessionLoad(log) === null).length
  const load = loads.reduce((a, b) => a + b, 0)
  const deviation = deviationOf(loads)
  const monotony = isRunning || unrated || !load || !deviation ? null : load / 7 / deviation
  return {
    from,
    days: loads,
    load,
    monotony: monotony === null ? null : hundredth(monotony),
    strain: monotony === null ? null : Math.round(load * monotony),
    sessions: own.length,
    unrated,
  }
}

/** The sample standard deviation, with n − 1. */
function deviationOf(values: number[]): number {
  const mean = values.reduce((a, b) => a + b, 0) / values.length
  return Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (values.length - 1))
}

const hundredth = (value: number): number => Math.round(value * 100) / 100
