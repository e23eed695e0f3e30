import { nudgeSlot } from '@young-oak/core/editing'
import { columnHere, lineHere, type Outcome, type SheetView } from './act.ts'

/** An exercise one up or down in its session; the keyboard goes with it. */
export function nudge(view: SheetView, by: -1 | 1): Outcome {
  const line = lineHere(view)
  if (line?.kind !== 'sets') return {}
  const { library, draft, at } = view
  const lines = columnHere(view)?.lines ?? []
  const sizeOf = (slot: string) => lines.filter((one) => one.kind === 'sets' && one.slotId === slot).length
  const first = lines.findIndex((one) => one.kind === 'sets' && one.slotId === line.slotId)
  const other = lines[by < 0 ? first - 1 : first + sizeOf(line.slotId)]
  const size = other?.kind === 'sets' ? sizeOf(other.slotId) : 1
  return { put: nudgeSlot(library, draft, line.slotId, by), at: { ...at, line: at.line + by * size } }
}
