import type { Id } from '../parsing/index.ts'
import {
  fixable,
  rulesCells,
  type Cell,
  type CellField,
  type Command,
  type Fixable,
  type Template,
} from '../template/index.ts'

/** A line of a slot in some rows of a phase. */
export type CellsOf = { slot: Id; phase: Id; rows: readonly number[]; prescription: Id }

/** The commands that set a cell in some rows. Where a rule would write the cell, it stands from then on as it is written. */
export function setCells(
  draft: Template,
  { slot: id, phase, rows, prescription: line }: CellsOf,
  field: CellField,
  to: Cell,
): Command[] {
  const slot = draft.slots[id]
  return rows.flatMap((row): Command[] => {
    const prescriptions = slot?.rows[phase]?.[row]
    const prescribed = prescriptions?.find((one) => one.id === line)
    if (!slot || !prescriptions || !prescribed) return []
    const cell = { do: 'setCell', slot: id, phase, row, prescription: line } as const
    const from: Cell = prescribed[field] ?? null
    const set: Command[] = JSON.stringify(from) === JSON.stringify(to) ? [] : [{ ...cell, field, from, to }]
    if (!isFixable(field) || prescribed.fixed?.includes(field)) return set
    if (!rulesCells(draft, slot, prescriptions, prescribed).includes(field)) return set
    const fixed = fixable.filter((one) => one === field || prescribed.fixed?.includes(one))
    return [...set, { ...cell, field: 'fixed', from: prescribed.fixed ?? null, to: fixed }]
  })
}

/** Gives a cell that was fixed back to the rule that writes it; what stands there until then is as in the phase's other rows. */
export function giveBack(
  draft: Template,
  { slot: id, phase, row, prescription: line }: Omit<CellsOf, 'rows'> & { row: number },
  field: Fixable,
): Command[] {
  const rows = draft.slots[id]?.rows[phase] ?? []
  const inRow = (prescriptions: (typeof rows)[number] | undefined) =>
    prescriptions?.find((one) => one.id === line)
  const prescribed = inRow(rows[row])
  if (!prescribed?.fixed?.includes(field)) return []
  const cell = { do: 'setCell', slot: id, phase, row, prescription: line } as const
  const left = prescribed.fixed.filter((one) => one !== field)
  const free: Command = { ...cell, field: 'fixed', from: prescribed.fixed, to: left.length ? left : null }
  const like = rows
    .flatMap((prescriptions) => inRow(prescriptions) ?? [])
    .find(({ fixed }) => !fixed?.includes(field))
  const [was, is]: [Cell, Cell] = [prescribed[field] ?? null, like?.[field] ?? null]
  if (!like || JSON.stringify(was) === JSON.stringify(is)) return [free]
  return [free, { ...cell, field, from: was, to: is }]
}

export const isFixable = (field: string): field is Fixable => (fixable as readonly string[]).includes(field)
