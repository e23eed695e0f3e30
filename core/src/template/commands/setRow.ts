import { at, type Id } from '../../parsing/index.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { readRow } from '../read/read.ts'
import { findOverMax, findSlotEnds } from '../read/slotEnds.ts'
import type { SetPrescription } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { sayRow, withRow } from './rows.ts'
import { same } from './values.ts'

/** The lines of a slot in one row. */
export const setRow = defineCommand<{
  do: 'setRow'
  slot: Id
  phase: Id
  row: number
  from: SetPrescription[]
  to: SetPrescription[]
}>({
  do: 'setRow',
  apply(draft, { slot: id, phase, row, from, to }) {
    const slot = draft.slots[id]
    const prescriptions = slot?.rows[phase]?.[row]
    const what = (library: Parameters<typeof sayRow>[0]) => `The sets of ${slotName(library, draft, id)}`
    if (!slot || !prescriptions) return gone(what)
    if (!same(prescriptions, from))
      return changed(what, (library: Parameters<typeof sayRow>[0]) => `"${sayRow(library, prescriptions)}"`)
    return withRow(draft, id, slot, phase, row, to)
  },
  check(checker, draft, { slot: id, phase, row, to }) {
    const path = `slots.${id}.rows.${phase}[${row}]`
    const read = readRow(checker, to, path)
    const slot = draft.slots[id]
    if (!slot || checker.issues.length) return
    if (!same(read, to)) return checker.add(path, 'sets written out in full, each with an id', to)
    const own = { ...slot, rows: { [phase]: [to] } }
    findSlotEnds(checker, draft, own, at('slots', id))
    findOverMax(checker, draft, own, at('slots', id))
  },
  say(library, draft, { slot: id, row, to }) {
    const week = draft.slots[id]?.by === 'week' ? `, week ${row + 1}` : ''
    return `${slotName(library, draft, id)}${week}: ${sayRow(library, to)}`
  },
  inverse: swapped,
  renew: fromNow(({ slots }, { slot, phase, row }) => slots[slot]?.rows[phase]?.[row]),
})
