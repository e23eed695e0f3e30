import type { ShownGroup } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'

/** A set that is asked: its group, and its number in the slot. */
export type AskedSet = { n: number; group: ShownGroup; isPlus: boolean }

export const askedSets = (slot: PlannedSlot): AskedSet[] =>
  slot.groups
    .flatMap((group) =>
      Array.from({ length: group.sets }, (_, i) => ({
        group,
        isPlus: group.plus === 'last' && i === group.sets - 1,
      })),
    )
    .map((asked, i) => ({ ...asked, n: i + 1 }))
