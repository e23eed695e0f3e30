import { declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'fewerDays.days': '{author}: {days} of {from} sessions' })

/** No more than so many places in the week; the rotation goes on where it stopped. */
export const fewerDays = defineChange<{ days: number }>({
  kind: 'fewerDays',
  title: 'Fewer days',
  params: strictObject({ days: wholeField('sessions a week', 1, 13).required() }),
  lightens: () => true,
  fields: {
    days: { label: 'Most sessions', unit: 'a week', hint: 'The first ones of the week stay.' },
  },
  sentence: ({ days }) => `at most ${days} ${days === 1 ? 'session' : 'sessions'}`,
  onWeek(week, { days }, author) {
    if (week.perWeek <= days) return null
    return {
      now: { ...week, perWeek: days },
      step: say('fewerDays.days', { author, days, from: week.perWeek }),
    }
  },
  messages: say.messages,
  examples: [
    {
      say: 'four days become two',
      params: { days: 2 },
      week: { rotation: ['a', 'b'], perWeek: 4 },
      want: { rotation: ['a', 'b'], perWeek: 2 },
    },
    {
      say: 'a week of two stays',
      params: { days: 3 },
      week: { rotation: ['a', 'b'], perWeek: 2 },
      want: null,
    },
  ],
})
