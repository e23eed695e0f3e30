import { at } from '../../reading/index.ts'
import { cellNames, formatCell } from '../cells.ts'
import { readGoal, readLoad, readRow } from '../read.ts'
import { slotName } from '../sayAdjustment.ts'
import { setGroupShape } from '../shape.ts'
import { findOverMax, findSlotEnds } from '../slotEnds.ts'
import type { Id, SetGroup, Slot, Template } from '../types.ts'
import { changed, defineCommand, gone, same, withField, withSlot, type Cell } from './command.ts'

export const setCell = defineCommand<'setCell'>({
  apply(draft, { slot: id, phase, row, group: groupId, field, from, to }) {
    const slot = draft.slots[id]
    const groups = slot?.rows[phase]?.[row]
    const group = groups?.find((one) => one.id === groupId)
    if (!slot || !groups || !group) return gone(`The cell (${cellNames[field]}) of ${slotName(draft, id)}`)
    if (!same(group[field] ?? null, from))
      return {
        conflict: `${slotName(draft, id)}, ${cellNames[field]}, has been changed since: it is ${formatCell(field, group) || 'empty'} now.`,
      }
    const next: SetGroup = withField(group, field, to)
    return withRow(
      draft,
      id,
      slot,
      phase,
      row,
      groups.map((one) => (one === group ? next : one)),
    )
  },
  check(checker, draft, { slot: id, phase, row, group: groupId, field, to }) {
    const path = `slots.${id}.rows.${phase}[${row}].${field}`
    if (field === 'goal') return void readGoal(checker, to, path)
    if (field !== 'load')
      return void checker.check(setGroupShape.pick([field]), { [field]: to ?? undefined }, path)
    const load = readLoad(checker, to, path)
    const slot = draft.slots[id]
    if (!load || !slot) return
    const group = slot.rows[phase]?.[row]?.find(({ id: own }) => own === groupId)
    const rows = { [phase]: [[{ ...(group ?? { id: 'cell', sets: 1, goal: { reps: 1 } }), load }]] }
    findSlotEnds(checker, draft, { ...slot, rows }, path)
    findOverMax(checker, draft, { ...slot, rows }, path)
  },
  say(draft, { slot: id, row, phase, group, field, from, to }) {
    const slot = draft.slots[id]
    const own = slot?.rows[phase]?.[row]?.find((one) => one.id === group)
    const said = (value: Cell) => (own && formatCell(field, withField(own, field, value))) || 'empty'
    const week = slot?.by === 'week' ? `, week ${row + 1}` : ''
    return `${slotName(draft, id)}${week}: ${cellNames[field]} ${said(from)} → ${said(to)}`
  },
})

export const setRow = defineCommand<'setRow'>({
  apply(draft, { slot: id, phase, row, from, to }) {
    const slot = draft.slots[id]
    const groups = slot?.rows[phase]?.[row]
    if (!slot || !groups) return gone(`The sets of ${slotName(draft, id)}`)
    if (!same(groups, from)) return changed(`The sets of ${slotName(draft, id)}`, sayRow(groups))
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
  say(draft, { slot: id, row, to }) {
    const week = draft.slots[id]?.by === 'week' ? `, week ${row + 1}` : ''
    return `${slotName(draft, id)}${week}: ${sayRow(to)}`
  },
})

/** "3 × 5 @ 75%, 2 × 8 @ 65%". */
export const sayRow = (groups: readonly SetGroup[]): string =>
  groups
    .map(
      (group) => `${formatCell('sets', group)} × ${formatCell('goal', group)} @ ${formatCell('load', group)}`,
    )
    .join(', ')

function withRow(draft: Template, id: Id, slot: Slot, phase: Id, row: number, groups: SetGroup[]): Template {
  const rows = (slot.rows[phase] ?? []).map((one, i) => (i === row ? groups : one))
  return withSlot(draft, id, { ...slot, rows: { ...slot.rows, [phase]: rows } })
}
