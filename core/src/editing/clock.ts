import type { Library } from '../library/index.ts'
import type { Id } from '../parsing/index.ts'
import {
  applyCommand,
  isConflict,
  rowWeeks,
  slotName,
  type Phase,
  type RowClock,
  type SetPrescription,
  type Slot,
  type Template,
} from '../template/index.ts'
import { noSlot, type Built } from './built.ts'

/** A slot's rows read by another clock: as many of its rows as that clock has, the last one again where there are fewer. */
export function setClock(library: Library, draft: Template, slot: Id, by: RowClock): Built {
  const own = draft.slots[slot]
  if (!own) return noSlot
  if (own.by === by) return { fault: 'The rows are already chosen that way.' }
  if (by === 'toTest' && !draft.phases.some(({ id, ends }) => ends && own.rows[id]))
    return { fault: `${slotName(library, draft, slot)} is in no phase that ends with a test day.` }
  const rows = Object.fromEntries(
    Object.entries(own.rows).map(([id, list]) => {
      const phase = draft.phases.find((one) => one.id === id)
      return [id, phase ? resized(list, countOf(by, phase, list.length)) : list]
    }),
  )
  const { capStep, ...rest } = own
  const to: Slot = { ...rest, by, rows, ...(by === 'toTest' && { capStep: capStep ?? { kg: 5, lb: 10 } }) }
  const command = { do: 'setSlot' as const, slot, from: own, to }
  const after = applyCommand(draft, command)
  return isConflict(after) ? { fault: after.conflict(library) } : command
}

function countOf(by: RowClock, phase: Phase, now: number): number {
  const counts: Record<RowClock, number> = {
    week: rowWeeks(phase),
    exposure: now,
    day: Math.min(now, phase.perWeek),
    toTest: Math.min(now, rowWeeks(phase)),
  }
  return Math.max(counts[by], 1)
}

const resized = (list: SetPrescription[][], count: number): SetPrescription[][] =>
  Array.from({ length: count }, (_, i) => list[i] ?? list[list.length - 1] ?? [])
