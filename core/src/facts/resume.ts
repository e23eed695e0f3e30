import { entryIdField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'
import type { Pause } from './pause.ts'

const known: Pause = {
  id: 'p',
  enrolment: null,
  from: '2026-02-02',
  to: null,
  reason: 'injury',
  back: null,
  changes: [],
  muscles: null,
}

/** A pause is over from this day on. */
export const resume = defineFact<{ pause: Id }, object, { pauses: Pause[] }>({
  kind: 'resume',
  isGiven: true,
  shape: factShape({ pause: entryIdField('the id of a pause').required() }),
  none: {},
  learn: ({ pauses }, { pause, actsFrom }) => ({
    pauses: pauses.map((one) =>
      one.id === pause && (one.to === null || one.to > actsFrom) ? { ...one, to: actsFrom } : one,
    ),
  }),
  examples: [
    {
      say: 'back already',
      fact: { pause: 'p' },
      known: {
        pauses: [known],
      },
      want: {
        pauses: [{ ...known, to: '2026-03-02' }],
      },
    },
  ],
})
