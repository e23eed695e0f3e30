import { sourceOf } from '../loads/registry.ts'
import type { Slot } from './types.ts'

/** Whether any group of a slot, in any week, is given a load. */
export const hasComputedLoad = (slot: Slot): boolean =>
  Object.values(slot.rows)
    .flat(2)
    .some(({ load }) => sourceOf[load.of].computes)
