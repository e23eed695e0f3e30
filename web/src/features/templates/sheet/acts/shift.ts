import { moveSession } from '@young-oak/core/editing'
import { columnHere, type Outcome, type SheetView } from './act.ts'

/** The session one day earlier or later in the week; the keyboard goes with it. */
export function shift(view: SheetView, by: -1 | 1): Outcome {
  const { draft, columns, at } = view
  const here = columnHere(view)
  if (!here) return {}
  const column = Math.min(Math.max(at.column + by, 0), columns.length - 1)
  return { put: moveSession(draft, here.phase, here.session, by), at: { ...at, column } }
}
