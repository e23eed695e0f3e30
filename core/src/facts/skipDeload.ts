import type { Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** The next week that the plan has light, from its day on, is trained as it is written. */
export const skipDeload = defineFact<object, { skips: { id: Id; from: Day }[] }>({
  kind: 'skipDeload',
  isGiven: true,
  shape: factShape({}),
  none: { skips: [] },
  learn: ({ skips }, { id, actsFrom }) => ({ skips: [...skips, { id, from: actsFrom }] }),
  examples: [
    {
      say: 'the next one is trained as written',
      fact: {},
      want: { skips: [{ id: 'f', from: '2026-03-02' }] },
    },
  ],
})
