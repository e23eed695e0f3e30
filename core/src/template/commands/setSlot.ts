import { at, type Id } from '../../parsing/index.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { findUnheard } from '../read/slotEnds.ts'
import type { Slot } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { checkSlot, withSlot } from './slots.ts'
import { same } from './values.ts'

/** The whole of a slot, where more than a cell of it changes. */
export const setSlot = defineCommand<{ do: 'setSlot'; slot: Id; from: Slot; to: Slot }>({
  do: 'setSlot',
  apply(draft, { slot: id, from, to }) {
    const own = draft.slots[id]
    if (!own) return gone('The exercise')
    if (same(own, from)) return withSlot(draft, id, to)
    return changed((library) => slotName(library, draft, id), 'something else')
  },
  check(checker, draft, { slot: id, to }) {
    const slot = checkSlot(checker, draft, id, to)
    if (slot) findUnheard(checker, draft, slot, at('slots', id))
  },
  say: (library, draft, { slot }) => `${slotName(library, draft, slot)} changed`,
  inverse: swapped,
  renew: fromNow(({ slots }, { slot }) => slots[slot]),
})
