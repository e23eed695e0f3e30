import type { Adjustment } from '../adjustments/index.ts'
import { idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** A change of the member's own acts no more. */
export const withdraw = defineFact<{ adjustment: Id }, object, { own: Adjustment[] }>({
  kind: 'withdraw',
  isGiven: true,
  shape: factShape({ adjustment: idField('the id of an adjustment').required() }),
  none: {},
  learn: ({ own }, { adjustment }) => ({ own: own.filter(({ id }) => id !== adjustment) }),
  examples: [
    {
      say: 'the change no longer acts',
      fact: { adjustment: 'a' },
      known: { own: [{ id: 'a', do: { kind: 'scaleLoad', by: -10 }, where: {} }] },
      want: { own: [] },
    },
  ],
})
