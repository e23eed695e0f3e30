import type { Fact, Member } from '../facts/index.ts'
import { asCounted, resolve, type Entry, type SessionLog } from '../member/index.ts'
import type { Day } from '../units/index.ts'
import type { Taught } from './evidence.ts'

/** What happened, in order: on each day the facts that act from it, then its sessions. */
export type Happening = { day: Day; fact: Fact } | Session
type Session = { day: Day; log: SessionLog; isOver: boolean; isCounted: boolean; taught?: Taught }

/** The log of a session with the sets that count: worked out when it is told, since what lies before a checkpoint never is. */
export function countedLog(session: Session): SessionLog {
  if (session.isCounted) return session.log
  session.log = withSetsThatCount(session.log)
  session.isCounted = true
  return session.log
}

/**
 * Facts and logs as one row of happenings up to today, the same for any order of arrival: by training date, then the
 * minute of the start, then id. What is dated after today drives no load; it is kept beside them, as `ahead`.
 */
export function timeline(member: Member, today: Day): Timeline {
  const known = timelines.get(member)
  if (known?.today === today) return known.timeline
  const made = order(member, today)
  timelines.set(member, { today, timeline: made })
  return made
}

/** Entries that are kept and drive nothing yet: they are dated after today, or their day waits for the member's word. */
export type DatedAhead = { what: 'entry' | 'session'; id: string; date: Day; waits?: true }

type Timeline = { happenings: Happening[]; ahead: DatedAhead[] }

/** A member that has been read is never changed in place, so its timeline of a day is kept beside it. */
const timelines = new WeakMap<Member, { today: Day; timeline: Timeline }>()

function order({ facts, logs }: Member, today: Day): Timeline {
  const ahead: DatedAhead[] = []
  const dated = ({ id, date, waits }: Entry, what: DatedAhead['what']): boolean => {
    if (date <= today && !waits) return true
    ahead.push(waits ? { what, id, date, waits } : { what, id, date })
    return false
  }
  const acting = resolve(facts)
    .filter((fact) => dated(fact, 'entry'))
    .filter((fact) => fact.actsFrom <= today)
  const trained = resolve(logs)
    .map((log) => (isStartedTwice(log) ? withSetsThatCount(log) : log))
    .filter((log) => dated(log, 'session'))
    .sort(bySession)
  const over = areOver(trained, today)
  const happenings: Happening[] = [
    ...acting.sort(byDay).map((fact) => ({ day: actingDay(fact), fact })),
    ...trained.map((log, i) => ({
      day: log.date,
      log,
      isOver: over[i] as boolean,
      isCounted: isStartedTwice(log),
    })),
  ]
  return { happenings: happenings.sort((a, b) => compare(a.day, b.day) || rank(a) - rank(b)), ahead }
}

/** Its day is that of the start that counts, so that is settled at once. */
const isStartedTwice = ({ starts }: SessionLog): boolean => starts !== undefined && starts.length > 0

const withSetsThatCount = (log: SessionLog): SessionLog => asCounted({ ...log, sets: resolve(log.sets) })

/** A session is over when it is closed, when a later one of its enrolment starts, or when its date has passed. */
function areOver(trained: SessionLog[], today: Day): boolean[] {
  const later = new Set<string>()
  return trained
    .map((_, i) => trained[trained.length - 1 - i] as SessionLog)
    .map(({ closed, date, enrolment }) => {
      const isOver = closed || date < today || (enrolment !== null && later.has(enrolment))
      if (enrolment !== null) later.add(enrolment)
      return isOver
    })
    .reverse()
}

/** A fact acts from its stated day, never before its own date. */
export const actingDay = (fact: Fact): Day => (fact.actsFrom < fact.date ? fact.date : fact.actsFrom)

const rank = (happening: Happening): number => ('fact' in happening ? 0 : 1)
const compare = (a: string | number, b: string | number): number => (a < b ? -1 : a > b ? 1 : 0)
const byDay = (a: Fact, b: Fact): number =>
  compare(actingDay(a), actingDay(b)) || compare(a.date, b.date) || compare(a.id, b.id)
const bySession = (a: SessionLog, b: SessionLog): number =>
  compare(a.date, b.date) || compare(inDay(a), inDay(b)) || compare(a.id, b.id)
/** Sessions without a minute go first, as they were counted. */
const inDay = ({ minute, ordinal }: SessionLog): number => minute ?? ordinal - mostOfDay
const mostOfDay = 10
