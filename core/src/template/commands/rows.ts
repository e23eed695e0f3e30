import type { Library } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import { formatCell } from '../cells/cells.ts'
import type { SetPrescription, Slot, Template } from '../types.ts'
import { withSlot } from './slots.ts'

/** "3 × 5 @ 75%, 2 × 8 @ 65%". */
export const sayRow = (library: Library, prescriptions: readonly SetPrescription[]): string =>
  prescriptions
    .map((prescribed) => {
      const [sets, goal, load] = (['sets', 'goal', 'load'] as const).map((field) =>
        formatCell(library, field, prescribed),
      )
      return `${sets} × ${goal} @ ${load}`
    })
    .join(', ')

export function withRow(
  draft: Template,
  id: Id,
  slot: Slot,
  phase: Id,
  row: number,
  prescriptions: SetPrescription[],
): Template {
  const rows = (slot.rows[phase] ?? []).map((one, i) => (i === row ? prescriptions : one))
  return withSlot(draft, id, { ...slot, rows: { ...slot.rows, [phase]: rows } })
}
