import type { Id } from '../../parsing/index.ts'
import { readLength, readRows } from '../read/read.ts'
import { nominalWeeks, rowWeeks, type Length, type Phase, type SetPrescription } from '../types.ts'
import { asMeant, changed, defineCommand, gone, swapped } from './command.ts'
import { findTooLong, phaseName, withPhase, type PhaseRows } from './phases.ts'
import { same } from './values.ts'

/**
 * A phase's length, with the rows that its weeks have: added at the end, or taken from it. `rows` are those past the shorter of the two
 * lengths, of the slots that have a row for each week.
 */
export const setWeeks = defineCommand<{
  do: 'setWeeks'
  phase: Id
  from: Length
  to: Length
  rows: PhaseRows
}>({
  do: 'setWeeks',
  apply(draft, { phase: id, from, to, rows }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone('The phase')
    if (!same(own.weeks, from)) return changed(`The length of ${own.name}`, own.weeks)
    const after = { ...own, weeks: to }
    const [was, is] = [rowWeeks(own), rowWeeks(after)]
    const slots = { ...draft.slots }
    for (const [slotId, slot] of Object.entries(draft.slots)) {
      const list = slot.rows[id]
      if (!list || slot.by !== 'week' || was === is) continue
      const next = resized(list, was, is, rows[slotId] ?? [])
      if (!next) return changed(`The last weeks of ${own.name}`, 'something else')
      slots[slotId] = { ...slot, rows: { ...slot.rows, [id]: next } }
    }
    return withPhase({ ...draft, slots }, own, after)
  },
  check(checker, draft, { phase: id, to, rows }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own || !readLength(checker, to, `phases.${id}.weeks`)) return
    const after = { ...own, weeks: to }
    findTooLong(
      checker,
      draft.phases.map((one) => (one === own ? after : one)),
    )
    for (const [slot, list] of Object.entries(rows))
      if (list.length) readRows(checker, list, `slots.${slot}.rows.${id}`, 'exposure', after)
  },
  say: (_, draft, { phase, from, to }) =>
    `${phaseName(draft, phase)}: ${nominalWeeks({ weeks: from } as Phase)} → ${nominalWeeks({ weeks: to } as Phase)} weeks`,
  inverse: swapped,
  renew: asMeant,
})

/** Rows made longer by what is given, the last one again where there is none; or shorter, where the ones taken are those that were meant. */
function resized(
  list: SetPrescription[][],
  was: number,
  is: number,
  rows: SetPrescription[][],
): SetPrescription[][] | null {
  if (is < was) return same(list.slice(is), rows) ? list.slice(0, is) : null
  const last = list[list.length - 1] ?? []
  return [...list, ...Array.from({ length: is - was }, (_, i) => rows[i] ?? last)]
}
