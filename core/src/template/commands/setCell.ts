import type { Id } from '../../parsing/index.ts'
import { cellNames, formatCell, type CellField } from '../cells/cells.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { readGoal, readLoad } from '../read/read.ts'
import { setPrescriptionShape } from '../read/shape.ts'
import { findOverMax, findSlotEnds } from '../read/slotEnds.ts'
import type { SetPrescription } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { withRow } from './rows.ts'
import { fieldOf, same, withField } from './values.ts'

/** The value of a cell, null where it is empty. */
export type Cell = SetPrescription[CellField] | null

export const setCell = defineCommand<{
  do: 'setCell'
  slot: Id
  phase: Id
  row: number
  prescription: Id
  field: CellField
  from: Cell
  to: Cell
}>({
  do: 'setCell',
  apply(draft, { slot: id, phase, row, prescription: groupId, field, from, to }) {
    const slot = draft.slots[id]
    const prescriptions = slot?.rows[phase]?.[row]
    const prescribed = prescriptions?.find((one) => one.id === groupId)
    if (!slot || !prescriptions || !prescribed)
      return gone((library) => `The cell (${cellNames[field]}) of ${slotName(library, draft, id)}`)
    if (!same(prescribed[field] ?? null, from))
      return changed(
        (library) => `${slotName(library, draft, id)}, ${cellNames[field]},`,
        (library: Parameters<typeof formatCell>[0]) => formatCell(library, field, prescribed) || 'empty',
      )
    const next: SetPrescription = withField(prescribed, field, to)
    const after = prescriptions.map((one) => (one === prescribed ? next : one))
    return withRow(draft, id, slot, phase, row, after)
  },
  check(checker, draft, { slot: id, phase, row, prescription: groupId, field, to }) {
    const path = `slots.${id}.rows.${phase}[${row}].${field}`
    if (field === 'goal') return void readGoal(checker, to, path)
    if (field !== 'load')
      return void checker.check(setPrescriptionShape.pick([field]), { [field]: to ?? undefined }, path)
    const load = readLoad(checker, to, path)
    const slot = draft.slots[id]
    if (!load || !slot) return
    const prescribed = slot.rows[phase]?.[row]?.find(({ id: own }) => own === groupId)
    const rows = { [phase]: [[{ ...(prescribed ?? { id: 'cell', sets: 1, goal: { reps: 1 } }), load }]] }
    findSlotEnds(checker, draft, { ...slot, rows }, path)
    findOverMax(checker, draft, { ...slot, rows }, path)
  },
  say(library, draft, { slot: id, row, phase, prescription: prescribed, field, from, to }) {
    const slot = draft.slots[id]
    const own = slot?.rows[phase]?.[row]?.find((one) => one.id === prescribed)
    const said = (value: Cell) => (own && formatCell(library, field, withField(own, field, value))) || 'empty'
    const week = slot?.by === 'week' ? `, week ${row + 1}` : ''
    return `${slotName(library, draft, id)}${week}: ${cellNames[field]} ${said(from)} → ${said(to)}`
  },
  inverse: swapped,
  renew: fromNow(({ slots }, { slot, phase, row, prescription: prescribed, field }) =>
    fieldOf(
      slots[slot]?.rows[phase]?.[row]?.find(({ id }) => id === prescribed),
      field,
    ),
  ),
})
