import type { Adjustment } from '../adjustments/index.ts'
import { at, laterField } from '../parsing/index.ts'
import { readChangeOf } from '../template/index.ts'
import { defineFact, factShape } from './fact.ts'

/** A change of the member's own, applied last, until it is withdrawn. */
export const adjust = defineFact<{ adjustment: Adjustment }, { own: Adjustment[] }>({
  kind: 'adjust',
  isGiven: true,
  shape: factShape({ adjustment: laterField('an adjustment').required() }),
  read(checker, fact, path) {
    readChangeOf(checker, fact.adjustment, at(path, 'adjustment'))
    return fact
  },
  none: { own: [] },
  learn: ({ own }, { adjustment }) => ({
    own: [...own.filter(({ id }) => id !== adjustment.id), adjustment],
  }),
  examples: [
    {
      say: 'a later change with the same id replaces the first',
      fact: { adjustment: { id: 'a', do: { kind: 'scaleLoad', by: -5 }, where: {} } },
      known: { own: [{ id: 'a', do: { kind: 'scaleLoad', by: -10 }, where: {} }] },
      want: { own: [{ id: 'a', do: { kind: 'scaleLoad', by: -5 }, where: {} }] },
    },
  ],
})
