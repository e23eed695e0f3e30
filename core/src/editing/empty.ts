import type { Session, Template } from '../template/index.ts'
import type { Mint } from './built.ts'

/** A template of one phase with empty sessions, one for each day of the week. */
export function emptyTemplate(
  { name, weeks, days }: { name: string; weeks: number; days: number },
  mint: Mint,
): Template {
  const ids = Array.from({ length: days }, mint)
  const sessions = Object.fromEntries(
    ids.map((id, i): [string, Session] => [
      id,
      { name: `Session ${String.fromCharCode(65 + i)}`, sections: [{ name: 'Main', slots: [] }] },
    ]),
  )
  return {
    format: 2,
    name,
    maxes: { use: 'newest' },
    missed: 'hold',
    rounding: 'nearest',
    phases: [{ id: mint(), name: 'Phase 1', weeks, rotation: ids, perWeek: days, deloads: [] }],
    sessions,
    slots: {},
    progressions: {},
    tracks: {},
  }
}
