import type { Id } from '../../parsing/index.ts'
import { readLength, readRows } from '../read/read.ts'
import { findLayout } from '../read/readLayout.ts'
import { readDeload } from '../read/readAdjustment.ts'
import { limits, phaseShape } from '../read/shape.ts'
import { rowWeeks, type Phase } from '../types.ts'
import { changed, defineCommand, gone } from './command.ts'
import { findTooLong, findUnknown, placeAfter, type PhaseRows } from './phases.ts'

/** A phase with the rows that slots have in it, behind another or, after none, first. */
export const addPhase = defineCommand<{
  do: 'addPhase'
  phase: Id
  after: Id | null
  value: Phase
  rows: PhaseRows
}>({
  do: 'addPhase',
  apply(draft, { phase: id, after, value, rows }) {
    if (draft.phases.some((one) => one.id === id)) return changed(`The phase ${value.name}`, 'there already')
    const place = placeAfter(draft, after)
    if (place === null) return gone('The phase before it')
    const phases = [...draft.phases.slice(0, place), value, ...draft.phases.slice(place)]
    const slots = { ...draft.slots }
    for (const [slot, list] of Object.entries(rows)) {
      const own = slots[slot]
      if (own) slots[slot] = { ...own, rows: { ...own.rows, [id]: list } }
    }
    return { ...draft, phases, slots }
  },
  check(checker, draft, { phase: id, value, rows }) {
    const path = `phases.${id}`
    const { weeks: _, deloads: __, ...head } = value
    checker.check(
      phaseShape.pick(['id', 'name', 'rotation', 'perWeek', 'ends', 'defaults', 'layout']),
      head,
      path,
    )
    if (value.layout) findLayout(checker, { ...value, layout: value.layout }, path)
    if (value.id !== id) checker.add(`${path}.id`, `the id ${id}`, value.id)
    if (!readLength(checker, value.weeks, `${path}.weeks`)) return
    value.deloads.forEach((one, i) => void readDeload(checker, one, `${path}.deloads[${i}]`, rowWeeks(value)))
    findUnknown(checker, draft, value.rotation, path)
    findTooLong(checker, [...draft.phases, value])
    if (draft.phases.length >= limits.phases) checker.add('phases', `at most ${limits.phases} phases`, id)
    for (const [slot, list] of Object.entries(rows)) {
      const own = draft.slots[slot]
      if (own) readRows(checker, list, `slots.${slot}.rows.${id}`, own.by, value)
    }
  },
  say: (_library, _draft, { value }) => `Phase added: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'removePhase' }),
  renew: (draft, command) =>
    placeAfter(draft, command.after) === null
      ? { ...command, after: draft.phases.at(-1)?.id ?? null }
      : command,
})
