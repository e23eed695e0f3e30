import { choiceField, dayField, textField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** Trips, exams, shift weeks, new equipment, another weight class. */
export const eventKinds = ['trip', 'exams', 'shift work', 'new equipment', 'weight class', 'other'] as const
export type EventKind = (typeof eventKinds)[number]

type EventFact = { what: EventKind; name?: string; on: Day; to?: Day }

export const event = defineFact<EventFact, { events: ({ id: Id } & EventFact)[] }>({
  kind: 'event',
  isGiven: true,
  shape: factShape({
    what: choiceField(eventKinds).required(),
    name: textField('what it is', 80),
    on: dayField().required(),
    to: dayField(),
  }).test('fits', '"to" no earlier than "on"', (given) => {
    const { on, to } = given as EventFact
    return to === undefined || to >= on
  }),
  none: { events: [] },
  learn: ({ events }, { id, what, name, on, to }) => ({
    events: [...events, { id, what, ...(name && { name }), on, ...(to && { to }) }],
  }),
  examples: [
    {
      say: 'a trip of a week',
      fact: { what: 'trip', on: '2026-04-06', to: '2026-04-12' },
      want: { events: [{ id: 'f', what: 'trip', on: '2026-04-06', to: '2026-04-12' }] },
    },
  ],
})
