import { sourceOf } from '../loads/registry.ts'
import type { Slot } from './types.ts'

/** Whether any group of a slot, in any row, is given a load. */
export const hasComputedLoad = (slot: Slot): boolean =>
  Object.values(slot.rows).some((rows) =>
    rows.some((row) => row.some(({ load }) => sourceOf[load.of].computes)),
  )
