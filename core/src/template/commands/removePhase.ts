import type { Id } from '../../parsing/index.ts'
import type { Phase } from '../types.ts'
import { asMeant, changed, defineCommand, gone } from './command.ts'
import { rowsOf, type PhaseRows } from './phases.ts'
import { same } from './values.ts'

export const removePhase = defineCommand<{
  do: 'removePhase'
  phase: Id
  after: Id | null
  value: Phase
  rows: PhaseRows
}>({
  do: 'removePhase',
  apply(draft, { phase: id, value, rows }) {
    const own = draft.phases.find((one) => one.id === id)
    if (!own) return gone(`The phase ${value.name}`)
    if (!same(own, value)) return changed(`The phase ${value.name}`, 'something else')
    if (!same(rowsOf(draft, id), rows)) return changed(`The sets of ${value.name}`, 'something else')
    const slots = Object.fromEntries(
      Object.entries(draft.slots).map(([slot, one]) => {
        const { [id]: gone, ...others } = one.rows
        return [slot, gone ? { ...one, rows: others } : one]
      }),
    )
    return { ...draft, phases: draft.phases.filter((one) => one !== own), slots }
  },
  check(checker, draft) {
    if (draft.phases.length < 2)
      checker.add('phases', 'at least one phase', draft.phases.length, 'Add another phase first.')
  },
  say: (_library, _draft, { value }) => `Phase removed: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'addPhase' }),
  renew: asMeant,
})
