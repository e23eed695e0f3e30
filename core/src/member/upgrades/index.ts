import { fieldIn } from '../../parsing/index.ts'
import type { SessionLog, SetLog, Shown } from '../types.ts'
import { logFrom1 } from './log1.ts'
import { shownFrom1 } from './shown1.ts'

/** The formats that session logs and snapshots are written in today. */
export const logFormat = 2
export const shownFormat = 2

const logSteps: Record<number, (log: unknown) => unknown> = { 1: logFrom1 }
const shownSteps: Record<number, (shown: unknown) => unknown> = { 1: shownFrom1 }

/** A session log as it was stored, in today's format; the database keeps the number beside each. */
export function upgradeLog(log: unknown, format: number): SessionLog {
  const step = Object.hasOwn(logSteps, format) ? logSteps[format] : undefined
  return step ? upgradeLog(step(log), format + 1) : (log as SessionLog)
}

/** A set as it was stored by itself, in today's format; it has the format of a session's log. */
export const upgradeSet = (set: unknown, format: number): SetLog =>
  upgradeLog({ sets: [set] }, format).sets[0] as SetLog

/** A snapshot of any earlier format in today's: it carries its number itself. */
export function upgradeShown(shown: unknown): Shown {
  const format = fieldIn(shown, 'format')
  const step =
    typeof format === 'number' && Object.hasOwn(shownSteps, format) ? shownSteps[format] : undefined
  return step ? upgradeShown(step(shown)) : (shown as Shown)
}
