import { entryIdField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** A deload of the member's own, and its return, are over from this day on; what was trained in it stays in the past. */
export const endDeload = defineFact<{ deload: Id }, object, { deloads: { id: Id; to?: Day }[] }>({
  kind: 'endDeload',
  isGiven: true,
  shape: factShape({ deload: entryIdField('the id of a deload').required() }),
  none: {},
  learn: ({ deloads }, { deload, actsFrom }) => ({
    deloads: deloads.map((one) => (one.id === deload && !one.to ? { ...one, to: actsFrom } : one)),
  }),
  examples: [
    {
      say: 'the deload gives no more weeks',
      fact: { deload: 'd' },
      known: { deloads: [{ id: 'd' }, { id: 'e' }] },
      want: { deloads: [{ id: 'd', to: '2026-03-02' }, { id: 'e' }] },
    },
  ],
})
