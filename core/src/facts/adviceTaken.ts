import { boolean } from 'yup'
import { textField } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** The advisor's answers that were taken or left, and when, by answer. */
type Kept = { adviceTaken: Record<string, { taken: boolean; date: Day }> }

/** An answer of the advisor was taken, or left: one that was left does not come again for a week. */
export const adviceTaken = defineFact<{ answer: string; taken: boolean }, Kept>({
  kind: 'adviceTaken',
  isGiven: true,
  shape: factShape({
    answer: textField('an answer of the advisor', 40).required(),
    taken: boolean().strict().required().meta({ expected: 'true or false' }),
  }),
  none: { adviceTaken: {} },
  learn: (known, { answer, taken, date }) => ({
    adviceTaken: { ...known.adviceTaken, [answer]: { taken, date } },
  }),
  examples: [
    {
      say: 'left',
      fact: { answer: 'deload', taken: false },
      want: { adviceTaken: { deload: { taken: false, date: '2026-03-02' } } },
    },
  ],
})
