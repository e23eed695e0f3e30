import { type WhyStep, declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'setsUntil.base': '{done} sets on {date}: at least {least} next',
  'setsUntil.again': '{done} sets on {date}: at least {least} again',
})

type Params = {
  /** The fewest sets to begin with, and ever; 1 to 30. */
  first: number
  /** The most that are ever the fewest; 1 to 30. */
  most: number
}
type State = { least: number; why: WhyStep[] }

/** Sets until a trigger: as many as were done before it are the fewest the next time. */
export const setsUntil = defineRule<Params, State>({
  kind: 'setsUntil',
  title: 'As many sets as last time',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['sets'],
  // The sets that are written stay, as the most.
  adds: ['sets'],
  carriedBy: {
    expected: 'sets of reps of which some may be left out',
    fits: (goal) => 'reps' in goal,
    isFree: true,
    sample: { sets: 8, least: 3, goal: { reps: 3 } },
  },
  params: strictObject({
    first: wholeField('the fewest sets to begin with', 1, 30).required(),
    most: wholeField('the most that are ever the fewest', 1, 30).required(),
  }).test('fits', '"most" at least "first"', ({ first, most }) => most >= first),
  fields: {
    first: {
      label: 'Fewest sets to begin with',
      unit: 'sets',
      hint: 'It is never fewer. The sets that are written are the most.',
    },
    most: { label: 'Most', unit: 'sets', hint: 'However many were done, no more than these are asked.' },
  },
  sentence: ({ first, most }) =>
    `At least ${first === 1 ? 'one set' : `${first} sets`} to begin with; then at least as many as were done the last time, up to ${most}.`,
  start: (_known, { first }) => ({ least: first, why: [] }),
  next(state, { date, verdict, reps }, { first, most }) {
    const done = reps.filter((count) => count > 0).length
    if (!date || verdict === 'hold' || !done) return state
    const least = Math.min(most, Math.max(first, done))
    const id = least === state.least ? 'setsUntil.again' : 'setsUntil.base'
    return { least, why: [say(id, { done, date, least })] }
  },
  ask: ({ least, why }) => ({ least, steps: why }),
  messages: say.messages,
  examples: [
    {
      say: 'five before the trigger are five next time; nine are eight at most; one is still three',
      params: { first: 3, most: 8 },
      max: null,
      exposures: [
        { verdict: 'hit', reps: [2, 2, 2, 2, 2] },
        { verdict: 'hit', reps: [2, 2, 2, 2, 2] },
        { verdict: 'hit', reps: Array<number>(9).fill(2) },
        { verdict: 'miss', reps: [2] },
        'hold',
      ],
      asked: ['at least 3', 'at least 5', 'at least 5', 'at least 8', 'at least 3', 'at least 3'],
    },
  ],
})
