import type { Member } from '../facts/index.ts'
import { type Verdict, type Planned, type Plan, judge } from '../plan/index.ts'
import { liftKey, type Lift, type Muscle } from '../library/index.ts'
import { resolve, type SessionLog, type SetLog } from '../member/index.ts'
import { isDone, isToTheLimit, topSet, type Evidence } from '../evidence/index.ts'
import type { Template } from '../template/index.ts'
import { addDays, daysBetween, inUnit, snap, type Day } from '../units/index.ts'
import type { LiftSignal, Signals } from './signals.ts'

/** How far back each figure looks, in days. */
const span = { lifts: 42, answers: 14, sore: 21, reserve: 21, days: 28, checkIns: 21, events: 28 }

/**
 * The figures that advice goes by, on a day. What was trained is judged by what was shown; a light session says nothing about a
 * lift. A session from paper has no judgement, and counts as a day.
 */
export function readSignals(
  member: Member,
  { plans, evidence, asksDeload }: Pick<Planned, 'plans' | 'evidence' | 'asksDeload'>,
  enrolment: string,
  template: Template,
  today: Day,
): Signals {
  const since = (days: number) => addDays(today, -days)
  const logs = resolve(member.logs)
    .filter(({ date, enrolment: own }) => date <= today && own === enrolment)
    .map((log) => ({ ...log, sets: resolve(log.sets) }))
    .filter(({ sets }) => sets.some((set) => isDone(set) || set.state === 'failed'))
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.ordinal - b.ordinal))
  const recent = logs.filter(({ date }) => date >= since(span.answers))
  const plan = plans[enrolment]
  const checkIns = evidence.checkIns.filter(({ date }) => date >= since(span.checkIns)).slice(0, 3)
  return {
    lifts: liftSignals(
      logs.filter(({ date }) => date >= since(span.lifts)),
      evidence,
    ),
    checkIns,
    soreMuscles: soreAgain(
      logs.filter(({ date }) => date >= since(span.sore)),
      checkIns.flatMap(({ sore = [] }) => sore),
    ),
    tooMuch: tooMuchOfOne(recent),
    hardness: mean(recent.flatMap(({ answers }) => answers?.hard ?? [])),
    usualRir: mean(
      logs
        .filter(({ date }) => date >= since(span.reserve))
        .flatMap(({ sets }) => sets.flatMap(({ rir }) => rir ?? [])),
    ),
    daysAWeek: daysAWeek(logs, today),
    weeksTrained: logs[0] ? Math.floor(daysBetween(logs[0].date, today) / 7) : 0,
    weeksSinceDeload: weeksSinceDeload(logs, today),
    plannedDeloadIn: plan ? plannedDeload(plan) : null,
    event: nextEvent(evidence, today),
    pains: painful(recent),
    asks: asksDeload,
    phase: plan ? phaseOf(plan, template) : { weeksIn: 0, hasNext: false },
    about: evidence.about,
    askFirst: evidence.askFirst,
  }
}

type Heard = { lift: Lift; date: Day; verdict: Verdict; estimate: number | null; drift: number | null }

function liftSignals(logs: SessionLog[], evidence: Evidence): LiftSignal[] {
  const byLift = new Map<string, Heard[]>()
  for (const log of logs)
    for (const heard of heardIn(log, evidence)) {
      const key = liftKey(heard.lift)
      byLift.set(key, [...(byLift.get(key) ?? []), heard])
    }
  return [...byLift.values()].map((all) => {
    const seen = all.flatMap(({ estimate }) => estimate ?? [])
    const best = seen.lastIndexOf(Math.max(...seen))
    const drift = mean(all.slice(-3).flatMap((one) => one.drift ?? []))
    return {
      lift: (all[0] as Heard).lift,
      exposures: all.length,
      missesInARow: all.length - 1 - all.findLastIndex(({ verdict }) => verdict !== 'miss'),
      sinceBest: seen.length ? seen.length - 1 - best : 0,
      change: changeOf(seen),
      isShort: all.slice(-3).some(({ verdict }) => verdict === 'miss') || (drift !== null && drift <= -1),
      rirDrift: drift,
    }
  })
}

/** The slots of a session that were shown and are no light ones, each with its verdict. */
function heardIn(log: SessionLog, evidence: Evidence): Heard[] {
  return Object.entries(log.shown?.slots ?? {}).flatMap(([slot, shown]): Heard[] => {
    const sets = log.sets.filter((set) => set.slot === slot).sort((a, b) => a.n - b.n)
    const { verdict } = judge(shown, shown.sets, sets, shown.deload === true)
    if (shown.circuit || verdict === 'deload' || verdict === 'skip') return []
    const body = shown.sets.some((prescribed) => prescribed.body) ? evidence.body?.load : undefined
    const told = sets.filter((set) => (isDone(set) || set.state === 'failed') && isToTheLimit(log, set))
    const top = topSet(told, body)
    const { exercise, variant } = shown
    const asked = shown.sets.find(({ rir }) => rir !== undefined)?.rir
    const left = mean(sets.flatMap(({ rir }) => rir ?? []))
    return [
      {
        lift: { exercise, ...(variant && { variant }) },
        date: log.date,
        verdict,
        estimate: top ? inUnit(top.estimate, 'kg').value : null,
        drift: asked !== undefined && left !== null ? snap(left - asked) : null,
      },
    ]
  })
}

/** The mean of the later half against that of the earlier half, in percent to one decimal; null for fewer than four. */
function changeOf(seen: number[]): number | null {
  if (seen.length < 4) return null
  const half = Math.floor(seen.length / 2)
  const [before, after] = [mean(seen.slice(0, half)), mean(seen.slice(-half))]
  return before && after ? Math.round((1000 * (after - before)) / before) / 10 : null
}

/** Muscles that were still sore twice or more, in answers at the next training and in check-ins together. */
function soreAgain(logs: SessionLog[], said: Muscle[]): Muscle[] {
  const counts = new Map<Muscle, number>()
  const answered = logs.flatMap(({ answers }) =>
    Object.entries(answers?.sore ?? {}).flatMap(([muscle, how]) =>
      how === 'still' ? [muscle as Muscle] : [],
    ),
  )
  for (const muscle of [...answered, ...said]) counts.set(muscle, (counts.get(muscle) ?? 0) + 1)
  return [...counts].filter(([, count]) => count > 1).map(([muscle]) => muscle)
}

/** How often the muscle that was most often worked too much was. */
function tooMuchOfOne(logs: SessionLog[]): number {
  const said = logs.flatMap(({ answers }) =>
    Object.entries(answers?.worked ?? {}).flatMap(([muscle, how]) => (how === 'too much' ? [muscle] : [])),
  )
  return Math.max(0, ...said.map((muscle) => said.filter((one) => one === muscle).length))
}

function daysAWeek(logs: SessionLog[], today: Day): number {
  const first = logs[0]?.date
  if (!first) return 0
  const days = Math.min(span.days, Math.max(7, daysBetween(first, today) + 1))
  const trained = new Set(logs.flatMap(({ date }) => (date > addDays(today, -days) ? [date] : [])))
  return Math.round((70 * trained.size) / days) / 10
}

function weeksSinceDeload(logs: SessionLog[], today: Day): number | null {
  const light = logs.findLast(({ shown }) => Object.values(shown?.slots ?? {}).some((slot) => slot.deload))
  return light ? Math.floor(daysBetween(light.date, today) / 7) : null
}

function plannedDeload({ weeks }: Plan): number | null {
  const ahead = weeks.filter(({ places }) =>
    places.some(({ status }) => status === 'next' || status === 'ahead'),
  )
  const at = ahead.findIndex(({ deload }) => deload)
  return at < 0 ? null : at
}

function nextEvent({ events }: Evidence, today: Day): Signals['event'] {
  const ahead = events
    .filter(({ on }) => on >= today && on <= addDays(today, span.events))
    .sort((a, b) => (a.on < b.on ? -1 : 1))[0]
  return ahead ? { what: ahead.what, inWeeks: Math.floor(daysBetween(today, ahead.on) / 7) } : null
}

function painful(logs: SessionLog[]): Lift[] {
  const hurt = new Map<string, Lift>()
  for (const { exercise, variant, pain } of logs.flatMap(({ sets }): SetLog[] => sets))
    if (pain) hurt.set(liftKey({ exercise, variant }), { exercise, ...(variant && { variant }) })
  return [...hurt.values()]
}

function phaseOf({ weeks }: Plan, { phases }: Template): Signals['phase'] {
  const now = weeks.find(({ places }) => places.some(({ status }) => status === 'next' || status === 'open'))
  const at = phases.findIndex(({ id }) => id === now?.phase)
  return { weeksIn: now?.phaseWeek ?? 0, hasNext: at >= 0 && at < phases.length - 1 }
}

/** To one decimal; null of nothing. */
function mean(values: number[]): number | null {
  if (!values.length) return null
  return Math.round((10 * values.reduce((sum, value) => sum + value, 0)) / values.length) / 10
}
