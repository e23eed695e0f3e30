import { copySlots, moveSlots } from '@young-oak/core/editing'
import { mint } from '../../mint.ts'
import type { Column } from '../sheet.ts'
import { slotsHere, type Outcome, type SheetView } from './act.ts'

/** The selected exercises to the session on a side, or copies of them; the keyboard goes with them. */
export function beside(view: SheetView, by: -1 | 1, copies: boolean): Outcome {
  const { library, draft, columns, at } = view
  const slots = slotsHere(view)
  const column = nextSession(columns, at.column, by)
  const target = column === null ? undefined : columns[column]
  const last = target && [...target.lines].reverse().find(({ kind }) => kind === 'new')
  if (column === null || !target || !slots.length || last?.kind !== 'new')
    return { say: 'There is no session there.' }
  const to = { session: target.session, section: last.section, after: last.after }
  return {
    put: copies ? copySlots(library, draft, slots, to, mint) : moveSlots(library, draft, slots, to),
    anchor: null,
    at: { ...at, column, line: target.lines.length - 1 },
  }
}

/** The column of the nearest other session on a side. */
function nextSession(columns: Column[], from: number, by: -1 | 1): number | null {
  const own = columns[from]?.session
  for (let at = from + by; at >= 0 && at < columns.length; at += by)
    if (columns[at]?.session !== own) return at
  return null
}
