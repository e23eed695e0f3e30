import { dayField } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** A test day, and on what day it is; a later entry moves it from the day that it acts. */
export const test = defineFact<{ on: Day }, { testDay: Day | null }>({
  kind: 'test',
  isGiven: true,
  shape: factShape({ on: dayField().required() }),
  none: { testDay: null },
  learn: (_, { on }) => ({ testDay: on }),
  examples: [{ say: 'a test in May', fact: { on: '2026-05-16' }, want: { testDay: '2026-05-16' } }],
})
