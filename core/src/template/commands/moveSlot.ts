import type { Id } from '../../parsing/index.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { defineCommand, gone, swapped } from './command.ts'
import { withSession } from './sessions.ts'
import { findTooMany, putIn, spotNow, spotOf, without, type Spot } from './slots.ts'

/**
 * A slot keeps its id wherever it goes, and so everything that was logged in it. Null is outside of every session, where a track may add
 * it from.
 */
export const moveSlot = defineCommand<{ do: 'moveSlot'; slot: Id; from: Spot | null; to: Spot | null }>({
  do: 'moveSlot',
  apply(draft, { slot, from, to }) {
    const now = spotOf(draft, slot)
    if (!draft.slots[slot] || now?.session !== from?.session) return gone('The exercise where it was')
    const own = from && draft.sessions[from.session]
    const lifted = own ? withSession(draft, from.session, without(own, slot)) : draft
    if (!to) return lifted
    const target = lifted.sessions[to.session]
    if (!target) return gone('The session')
    const placed = putIn(target, slot, to.after, to.section)
    return placed ? withSession(lifted, to.session, placed) : gone('The exercise before it')
  },
  check(checker, draft, { from, to }) {
    if (to && from?.session !== to.session) findTooMany(checker, draft, to.session)
  },
  say: (library, draft, { slot }) => `${slotName(library, draft, slot)} moved`,
  inverse: swapped,
  renew(draft, command) {
    if (!draft.slots[command.slot]) return null
    const from = spotOf(draft, command.slot)
    if (!command.to) return { ...command, from }
    const to = spotNow(draft, command.to, command.slot)
    return to && { ...command, from, to }
  },
})
