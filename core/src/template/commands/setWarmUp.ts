import { at, type Id } from '../../parsing/index.ts'
import { slotName } from '../compare/sayAdjustment.ts'
import { readWarmUp } from '../read/read.ts'
import type { Slot } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { withSlot } from './slots.ts'
import { fieldOf, same, withField } from './values.ts'

/** A slot's own warm-up; null where the template's is taken. */
export type SlotWarmUp = NonNullable<Slot['warmUp']> | null

export const setWarmUp = defineCommand<{ do: 'setWarmUp'; slot: Id; from: SlotWarmUp; to: SlotWarmUp }>({
  do: 'setWarmUp',
  apply(draft, { slot: id, from, to }) {
    const slot = draft.slots[id]
    if (!slot) return gone('The exercise')
    if (!same(slot.warmUp ?? null, from))
      return changed((library) => `The warm-up of ${slotName(library, draft, id)}`, slot.warmUp)
    return withSlot(draft, id, withField(slot, 'warmUp', to))
  },
  check(checker, _, { slot, to }) {
    if (to !== null && to !== 'none') readWarmUp(checker, to, at(at('slots', slot), 'warmUp'))
  },
  say: (library, draft, { slot }) => `${slotName(library, draft, slot)}: warm-up`,
  inverse: swapped,
  renew: fromNow(({ slots }, { slot }) => fieldOf(slots[slot], 'warmUp')),
})
