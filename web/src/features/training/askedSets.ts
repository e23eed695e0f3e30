import type { ShownSets } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'

/** A set that is asked: its prescription, its number in the slot, whether it is an AMRAP set, and whether those before it in its line are enough. */
export type AskedSet = { n: number; prescribed: ShownSets; isPlus: boolean; isFree: boolean }

/** The sets of a slot in order; a circuit is one. */
export const askedSets = (slot: PlannedSlot): AskedSet[] =>
  slot.circuit
    ? [{ n: 1, prescribed: asOne, isPlus: false, isFree: false }]
    : slot.sets
        .flatMap((prescribed) =>
          Array.from({ length: prescribed.sets }, (_, i) => ({
            prescribed,
            isPlus: prescribed.amrap === 'all' || (prescribed.amrap === 'last' && i === prescribed.sets - 1),
            isFree: prescribed.least !== undefined && i >= prescribed.least,
          })),
        )
        .map((asked, i) => ({ ...asked, n: i + 1 }))

/** What is logged of a circuit has no load and no reps: its lines do. */
const asOne: ShownSets = { prescription: 'circuit', sets: 1, reps: null, target: null, load: null, why: [] }

/** Sets on the way to a load that nobody knows are numbered from here: they are beside those that are asked. */
export const firstTry = 51
export const isTry = ({ n }: { n: number }): boolean => n >= firstTry
