import { type WhyStep, declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'setAccumulation.more': 'a hit on {date}: {more} sets more than written',
  'setAccumulation.again': 'a hit on {date} with the most sets: back to the sets written',
  'setAccumulation.moreAhead': 'if the session before is a hit: {more} sets more than written',
  'setAccumulation.againAhead': 'if the session before is a hit with the most sets: back to the sets written',
})

type Params = {
  /** Sets added after each hit; 1 to 4. */
  add: number
  /** The most that are added before it goes back to what is written; 1 to 10. */
  most: number
}
type State = { more: number; why: WhyStep[] }

/** Sets beside those that are written: more after each hit, up to a most, then back to what is written. */
export const setAccumulation = defineRule<Params, State>({
  kind: 'setAccumulation',
  title: 'Add sets',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['sets'],
  adds: ['sets'],
  params: strictObject({
    add: wholeField('sets added', 1, 4).required(),
    most: wholeField('the most added', 1, 10).required(),
  }).test('fits', '"most" at least "add"', ({ add, most }) => most >= add),
  fields: {
    add: { label: 'Added after a hit', unit: 'sets', hint: 'Beyond those written.' },
    most: {
      label: 'Most added',
      unit: 'sets',
      hint: 'After a hit with these the count starts again from those written.',
    },
  },
  sentence: ({ add, most }) =>
    `After a hit: ${add === 1 ? 'one set' : `${add} sets`} more, up to ${most} more than written, then back to those written.`,
  start: () => ({ more: 0, why: [] }),
  next(state, { date, verdict }, { add, most }) {
    if (verdict !== 'hit') return state
    const more = state.more + add > most ? 0 : state.more + add
    const id = more ? 'setAccumulation.more' : 'setAccumulation.again'
    const data = { more, ...(date && { date }) }
    return { more, why: [say(date ? id : `${id}Ahead`, data)] }
  },
  credits: (state, { moreSets }) => ({ state: { ...state, more: moreSets }, order: moreSets - state.more }),
  ask: ({ more, why }) => ({ moreSets: more, steps: why }),
  messages: say.messages,
  examples: [
    {
      say: 'two more sets, then back; a miss changes nothing',
      params: { add: 1, most: 2 },
      max: null,
      exposures: ['hit', 'miss', 'hit', 'hit', 'hit'],
      asked: [0, 1, 1, 2, 0, 1],
    },
  ],
})
