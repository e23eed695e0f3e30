import { boolean } from 'yup'
import type { Change } from '../adjustments/index.ts'
import { muscles, type Muscle } from '../library/index.ts'
import { at, choiceField, listField, numberField, wholeField, type Id } from '../parsing/index.ts'
import { readChange } from '../template/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

export const deloadReasons = ['tired', 'holiday', 'illness', 'sore joints', 'advice'] as const

/**
 * The next week that begins is light, in these ways, or the next `weeks` are; on the member's own clock `shift` puts them in before
 * the plan's. `back` is the return: what is taken off the loads in the weeks behind them, in percent; nothing for straight back.
 */
export type DeloadFact = {
  changes: Change[]
  /** Of these muscle groups alone. */
  muscles?: Muscle[]
  shift: boolean
  weeks?: number
  back?: number[]
  reason?: (typeof deloadReasons)[number]
}

/** So many deloads from a day, and what is taken off the loads in the weeks behind them. */
type OwnDeload = {
  id: Id
  from: Day
  changes: Change[]
  muscles?: Muscle[]
  shift: boolean
  weeks: number
  back: number[]
  /** Ended: none of its weeks begins on this day or later, and one that has begun is over. */
  to?: Day
}

export const deload = defineFact<DeloadFact, { deloads: OwnDeload[] }>({
  kind: 'deload',
  isGiven: true,
  shape: factShape({
    changes: listField('changes', 12).required(),
    muscles: listField('muscles, by the muscle worked most', muscles.length).of(
      choiceField(muscles).required(),
    ),
    shift: boolean().strict().required().meta({ expected: 'true or false' }),
    weeks: wholeField('deloads', 1, 4),
    back: listField('percent off in the return weeks', 4, 0).of(
      numberField('a percent from -50 to -1', -50, -1).required(),
    ),
    reason: choiceField(deloadReasons),
  }),
  read(checker, fact, path) {
    fact.changes.forEach((change, i) => readChange(checker, change, at(at(path, 'changes'), i)))
    return fact
  },
  none: { deloads: [] },
  learn({ deloads }, { id, actsFrom, changes, muscles: only, shift, weeks = 1, back = [] }) {
    const ownDeload = { id, from: actsFrom, changes, ...(only && { muscles: only }), shift, weeks, back }
    return { deloads: [...deloads, ownDeload] }
  },
  examples: [
    {
      say: 'one week at a tenth less, inserted before the plan’s, and straight back',
      fact: { changes: [{ kind: 'scaleLoad', by: -10 }], shift: true },
      want: {
        deloads: [
          {
            id: 'f',
            from: '2026-03-02',
            changes: [{ kind: 'scaleLoad', by: -10 }],
            shift: true,
            weeks: 1,
            back: [],
          },
        ],
      },
    },
  ],
})
