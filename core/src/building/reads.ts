import { sourceOf } from '../loads/registry.ts'
import type { Id, Slot } from '../template/index.ts'

/** The slots whose top sets the loads of a slot follow. */
export const readsSlots = (slot: Slot | undefined): Id[] =>
  Object.values(slot?.rows ?? {})
    .flat(2)
    .flatMap(({ load }) => sourceOf[load.of].reads?.(load).slot ?? [])
