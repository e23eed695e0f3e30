import { setsOfSlot, type Slot } from '../template/index.ts'
import { sourceOf } from '../loads/index.ts'
import type { Id } from '../parsing/index.ts'

/** The slots whose top sets the loads of a slot follow. */
export const readsSlots = (slot: Slot | undefined): Id[] =>
  (slot ? setsOfSlot(slot) : []).flatMap(({ load }) => sourceOf[load.of].reads?.(load).slot ?? [])
