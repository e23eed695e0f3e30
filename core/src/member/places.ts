import type { Id } from '../parsing/index.ts'
import type { PlaceName, SessionLog, ShownAt } from './types.ts'

/** The name of the place that was shown; null of a snapshot made before deloads that were put in had names: a position places it. */
export const placeShown = ({ phase, phaseWeek, inWeek, deload }: ShownAt): PlaceName | null =>
  deload === undefined ? null : { phase, week: phaseWeek, day: inWeek, ...(deload && { deload }) }

/** The name of a session's place: as it was shown, else as the log says; null where only a position places it. */
export const placeNamed = ({ shown, at }: Pick<SessionLog, 'shown' | 'at'>): PlaceName | null =>
  (shown && placeShown(shown.at)) ?? at ?? null

/** The id of a session, made of what it names, so that two phones make one. Ids made of a position stay as they are. */
export function sessionLogId(enrolment: Id, place: PlaceName | number, attempt: number): Id {
  if (typeof place === 'number') return `${enrolment}:${place}:${attempt}`
  const { phase, week, day, deload } = place
  const spot = [phase, week, day, ...(deload ? [deload.fact, deload.week] : [])].join('.')
  return `${enrolment}:${spot}:${attempt}`
}

export const setLogId = (session: Id, slot: Id, n: number): Id => `${session}:${slot}:${n}`
