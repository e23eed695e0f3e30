import type { Slot } from '../template/index.ts'
import { sourceOf } from '../loads/index.ts'
import type { Id } from '../parsing/index.ts'

/** The slots whose top sets the loads of a slot follow. */
export const readsSlots = (slot: Slot | undefined): Id[] =>
  Object.values(slot?.rows ?? {})
    .flat(2)
    .flatMap(({ load }) => sourceOf[load.of].reads?.(load).slot ?? [])
