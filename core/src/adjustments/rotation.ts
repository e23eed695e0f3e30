import { declareSteps } from '../words/index.ts'
import { idField, listField, strictObject, wholeField } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'rotation.days': '{author}: {perWeek} sessions a week' })

/** Other days: so many places a week of the named sessions in turn. */
export const rotation = defineChange<{ rotation: string[]; perWeek: number }>({
  kind: 'rotation',
  title: 'Other days',
  params: strictObject({
    rotation: listField('session ids in their order', 12).of(idField().required()).required(),
    perWeek: wholeField('sessions a week', 1, 14).required(),
  }),
  lightens: () => false,
  fields: {
    rotation: { label: 'Session', unit: null, hint: 'The sessions in their order.' },
    'rotation.#': { label: 'Session #', unit: null, hint: 'A session of the template.' },
    perWeek: { label: 'Sessions', unit: 'a week', hint: 'Each week continues the order.' },
  },
  sentence: ({ perWeek }) => `${perWeek} ${perWeek === 1 ? 'session' : 'sessions'} a week`,
  onWeek(_, { rotation: sessions, perWeek }, author) {
    return {
      now: { rotation: sessions, perWeek },
      step: say('rotation.days', { author, perWeek }),
    }
  },
  messages: say.messages,
  examples: [
    {
      say: 'three days become two',
      params: { rotation: ['a', 'b'], perWeek: 2 },
      week: { rotation: ['a', 'b'], perWeek: 3 },
      want: { rotation: ['a', 'b'], perWeek: 2 },
    },
  ],
})
