import { choiceField, dayField, entryIdField, numberField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

export const pauseReasons = ['injury', 'illness', 'holiday', 'travel', 'busy'] as const
export type PauseReason = (typeof pauseReasons)[number]

/**
 * A program, or all of them, waits from a day on: nobody is asked to train. `to`: the first day back, where it is known. `back`: percent on every load of
 * the first week that is trained after it began, in the place of what the template says of an absence.
 */
type PauseFact = { enrolment?: Id; to?: Day; reason: PauseReason; back?: number }

export type Pause = {
  id: Id
  /** Null of all programs. */
  enrolment: Id | null
  from: Day
  /** The first day on which it is over; null while nobody knows. */
  to: Day | null
  reason: PauseReason
  back: number | null
}

export const pause = defineFact<PauseFact, { pauses: Pause[] }>({
  kind: 'pause',
  isGiven: true,
  shape: factShape({
    enrolment: entryIdField('an enrolment'),
    to: dayField(),
    reason: choiceField(pauseReasons).required(),
    back: numberField('percent on the loads of the first week back, 0 for none', -50, 0),
  }).test('fits', 'a first day back later than the pause begins', (given) => {
    const { to, date, actsFrom } = given as { to?: Day; date?: Day; actsFrom?: Day }
    const from = actsFrom ?? date
    return to === undefined || from === undefined || to > from
  }),
  none: { pauses: [] },
  learn: ({ pauses }, { id, enrolment = null, actsFrom, to = null, reason, back = null }) => ({
    pauses: [...pauses, { id, enrolment, from: actsFrom, to, reason, back }],
  }),
  examples: [
    {
      say: 'a week by the sea, and a lighter week after it',
      fact: { to: '2026-03-09', reason: 'holiday', back: -10 },
      want: {
        pauses: [
          { id: 'f', enrolment: null, from: '2026-03-02', to: '2026-03-09', reason: 'holiday', back: -10 },
        ],
      },
    },
  ],
})

/** The pause of a program that a day lies in, if it lies in one. */
export const pauseOn = (pauses: readonly Pause[], enrolment: Id, day: Day): Pause | undefined =>
  pauses.find((one) => isOf(one, enrolment) && one.from <= day && (one.to === null || day < one.to))

/** The latest pause of a program with a word on the way back that began after its last session, and before a day. */
export const pauseBefore = (
  pauses: readonly Pause[],
  enrolment: Id,
  lastDay: Day,
  day: Day,
): Pause | undefined =>
  pauses.findLast((one) => isOf(one, enrolment) && one.back !== null && lastDay <= one.from && one.from < day)

const isOf = (pause: Pause, enrolment: Id): boolean =>
  pause.enrolment === null || pause.enrolment === enrolment
