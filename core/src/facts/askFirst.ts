import { boolean } from 'yup'
import { choiceField, listField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** What asks for the word of a licensed professional before training: a caution, never a diagnosis. */
export const askFirstReasons = [
  'pain or injury',
  'condition',
  'medication',
  'pregnancy',
  'coming back',
] as const
export type AskFirstReason = (typeof askFirstReasons)[number]

/** What somebody named, and whether they have that word. */
export type AskFirst = { reasons: AskFirstReason[]; isCleared: boolean }

/** A later entry takes the place of all of it. */
export const askFirst = defineFact<AskFirst, { askFirst: AskFirst }>({
  kind: 'askFirst',
  isGiven: true,
  shape: factShape({
    reasons: listField('reasons', askFirstReasons.length, 0)
      .of(choiceField(askFirstReasons).required())
      .required(),
    isCleared: boolean().strict().required().meta({ expected: 'true or false' }),
  }),
  none: { askFirst: { reasons: [], isCleared: false } },
  learn: (_, { reasons, isCleared }) => ({ askFirst: { reasons, isCleared } }),
  examples: [
    {
      say: 'an injury, not yet seen by anybody',
      fact: { reasons: ['pain or injury'], isCleared: false },
      want: { askFirst: { reasons: ['pain or injury'], isCleared: false } },
    },
  ],
})
