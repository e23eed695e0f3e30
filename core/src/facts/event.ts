import type { Lift } from '../library/index.ts'
import { liftFields } from '../member/index.ts'
import { choiceField, dayField, listField, strictObject, textField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** Trips, exams, shift weeks, new equipment, another weight class. */
export const eventKinds = ['trip', 'exams', 'shift work', 'new equipment', 'weight class', 'other'] as const
export type EventKind = (typeof eventKinds)[number]

/** `lifts`: those whose maxes from before it may not hold any more, as with gear that was replaced. */
type EventFact = { what: EventKind; name?: string; on: Day; to?: Day; lifts?: Lift[] }

export const event = defineFact<EventFact, { events: ({ id: Id } & EventFact)[] }>({
  kind: 'event',
  isGiven: true,
  shape: factShape({
    what: choiceField(eventKinds).required(),
    name: textField('what it is', 80),
    on: dayField().required(),
    to: dayField(),
    lifts: listField('lifts whose maxes it makes doubtful', 12).of(strictObject(liftFields).required()),
  }).test('fits', '"to" no earlier than "on"', (given) => {
    const { on, to } = given as EventFact
    return to === undefined || to >= on
  }),
  none: { events: [] },
  learn: ({ events }, { id, what, name, on, to, lifts }) => ({
    events: [...events, { id, what, ...(name && { name }), on, ...(to && { to }), ...(lifts && { lifts }) }],
  }),
  examples: [
    {
      say: 'a trip of a week',
      fact: { what: 'trip', on: '2026-04-06', to: '2026-04-12' },
      want: { events: [{ id: 'f', what: 'trip', on: '2026-04-06', to: '2026-04-12' }] },
    },
    {
      say: 'shoes that were replaced, and the squat with them',
      fact: {
        what: 'new equipment',
        name: 'other shoes',
        on: '2026-04-06',
        lifts: [{ exercise: 'backSquat' }],
      },
      want: {
        events: [
          {
            id: 'f',
            what: 'new equipment',
            name: 'other shoes',
            on: '2026-04-06',
            lifts: [{ exercise: 'backSquat' }],
          },
        ],
      },
    },
  ],
})
