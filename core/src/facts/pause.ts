import { changeOf, type Change } from '../adjustments/index.ts'
import { muscles, type Muscle } from '../library/index.ts'
import { at, choiceField, dayField, entryIdField, listField, numberField, type Id } from '../parsing/index.ts'
import { readChange } from '../template/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

export const pauseReasons = ['injury', 'illness', 'holiday', 'travel', 'busy'] as const
export type PauseReason = (typeof pauseReasons)[number]

/**
 * A program, or all of them, waits from a day on: nobody is asked to train. Or it goes on with changes, of some muscle groups or of everything. `to`: the first
 * day back, where it is known. `back`: percent on every load of the first week that is trained after it began, or with changes after it is over, in the place of
 * what the template says of an absence.
 */
type PauseFact = {
  enrolment?: Id
  to?: Day
  reason: PauseReason
  back?: number
  changes?: Change[]
  muscles?: Muscle[]
}

export type Pause = {
  id: Id
  /** Null of all programs. */
  enrolment: Id | null
  from: Day
  /** The first day on which it is over; null while nobody knows. */
  to: Day | null
  reason: PauseReason
  back: number | null
  /** What is changed while it lasts; none where nothing is trained. */
  changes: Change[]
  /** Of these muscle groups alone; null of everything. */
  muscles: Muscle[] | null
}

export const pause = defineFact<PauseFact, { pauses: Pause[] }>({
  kind: 'pause',
  isGiven: true,
  shape: factShape({
    enrolment: entryIdField('an enrolment'),
    to: dayField(),
    reason: choiceField(pauseReasons).required(),
    back: numberField('percent on the loads of the first week back, 0 for none', -50, 0),
    changes: listField('changes while it lasts', 12),
    muscles: listField('muscles, by the muscle worked most', muscles.length).of(
      choiceField(muscles).required(),
    ),
  }).test('fits', 'a first day back later than the pause begins', (given) => {
    const { to, date, actsFrom } = given as { to?: Day; date?: Day; actsFrom?: Day }
    const from = actsFrom ?? date
    return to === undefined || from === undefined || to > from
  }),
  read(checker, fact, path) {
    fact.changes?.forEach((one, i) => {
      const place = at(at(path, 'changes'), i)
      const change = readChange(checker, one, place)
      if (!change) return
      const { lightens, onWeek } = changeOf[change.kind]
      if (onWeek || !lightens(change as never))
        checker.add(
          place,
          'a change of slots, sets or loads that lowers something and raises nothing',
          change,
        )
    })
    return fact
  },
  none: { pauses: [] },
  learn(
    { pauses },
    { id, enrolment = null, actsFrom, to = null, reason, back = null, changes = [], muscles: of = null },
  ) {
    return { pauses: [...pauses, { id, enrolment, from: actsFrom, to, reason, back, changes, muscles: of }] }
  },
  examples: [
    {
      say: 'a week by the sea, and a lighter week after it',
      fact: { to: '2026-03-09', reason: 'holiday', back: -10 },
      want: {
        pauses: [
          {
            id: 'f',
            enrolment: null,
            from: '2026-03-02',
            to: '2026-03-09',
            reason: 'holiday',
            back: -10,
            changes: [],
            muscles: null,
          },
        ],
      },
    },
  ],
})

/** The pause of a program that a day lies in, if it lies in one. */
export const pauseOn = (pauses: readonly Pause[], enrolment: Id, day: Day): Pause | undefined =>
  pauses.find((one) => isOf(one, enrolment) && one.from <= day && (one.to === null || day < one.to))

/** Whether a program goes on while a pause lasts, with changes. */
export const goesOn = ({ changes }: Pause): boolean => changes.length > 0

/** The pauses of a program that change something on some day. */
export const changingPauses = (pauses: readonly Pause[], enrolment: Id): Pause[] =>
  pauses.filter((one) => goesOn(one) && isOf(one, enrolment))

/**
 * The latest pause of a program with a word on the way back of which a day is the way back: nothing was trained since it began, or with changes since it was
 * over.
 */
export const pauseBefore = (
  pauses: readonly Pause[],
  enrolment: Id,
  lastDay: Day,
  day: Day,
): Pause | undefined =>
  pauses.findLast((one) => isOf(one, enrolment) && one.back !== null && isBackFrom(one, lastDay, day))

function isBackFrom(pause: Pause, lastDay: Day, day: Day): boolean {
  const { from, to } = pause
  if (!goesOn(pause)) return lastDay <= from && from < day
  return to !== null && lastDay < to && to <= day
}

const isOf = (pause: Pause, enrolment: Id): boolean =>
  pause.enrolment === null || pause.enrolment === enrolment
