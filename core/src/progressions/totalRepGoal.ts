import { type WhyStep, declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'totalRepGoal.more': '{done} total reps were done within the sets on {date}: next {total}',
  'totalRepGoal.ahead': 'if {done} total reps are done within the sets: next {total}',
  'totalRepGoal.again': '{done} total reps were not done within the sets on {date}: the same again',
})

type Params = {
  /** Total reps to begin with; 2 to 500. */
  first: number
  /** Reps added when they were done within the sets; 1 to 50. */
  add: number
  /** The most that is ever asked; 2 to 500. */
  most: number
}
type State = { total: number; why: WhyStep[] }

/** Total reps, in no more sets than are written: when they are done within these, more the next time. */
export const totalRepGoal = defineRule<Params, State>({
  kind: 'totalRepGoal',
  title: 'More total reps',
  clock: 'exposure',
  onlyAtStart: ['first'],
  from: 'asked',
  roles: ['main'],
  writes: ['reps'],
  carriedBy: {
    expected: 'a goal of reps in all, within so many sets',
    fits: (goal) => 'totalReps' in goal && !goal.anySets,
    sample: { sets: 4, goal: { totalReps: 30 } },
  },
  params: strictObject({
    first: wholeField('reps in all to begin with', 2, 500).required(),
    add: wholeField('reps added', 1, 50).required(),
    most: wholeField('the most reps in all', 2, 500).required(),
  }).test('fits', '"most" at least "first"', ({ first, most }) => most >= first),
  fields: {
    first: { label: 'First total', unit: 'reps', hint: 'Over all sets.' },
    add: {
      label: 'Added after a hit',
      unit: 'reps',
      hint: 'A hit reaches the total within the sets written.',
    },
    most: { label: 'Most', unit: 'reps', hint: 'The total rises no further.' },
  },
  sentence: ({ first, add, most }) =>
    `Start at ${first} total reps. If they are done within the sets written: +${add === 1 ? '1 rep' : `${add} reps`}, up to ${most}; if not: the same again.`,
  start: (_known, { first }) => ({ total: first, why: [] }),
  next(state, { date, verdict }, { add, most }) {
    if (verdict === 'hold' || (!date && verdict !== 'hit')) return state
    const total = verdict === 'hit' ? Math.min(most, state.total + add) : state.total
    const data = { total, done: state.total, ...(date && { date }) }
    const id = !date ? 'totalRepGoal.ahead' : verdict === 'hit' ? 'totalRepGoal.more' : 'totalRepGoal.again'
    return { total, why: [{ id, data }] }
  },
  credits(state, { goal }) {
    if (!goal || !('totalReps' in goal)) return null
    const { totalReps } = goal
    return { state: { ...state, total: totalReps }, order: totalReps - state.total }
  },
  ask: ({ total, why }) => ({ goal: { totalReps: total }, steps: why }),
  messages: say.messages,
  examples: [
    {
      say: '30 within 4 sets is followed by 36; 36 that took more sets stays',
      params: { first: 30, add: 6, most: 40 },
      max: null,
      exposures: ['hit', 'miss', 'hold', 'hit', 'hit'],
      asked: ['30 in all', '36 in all', '36 in all', '36 in all', '40 in all', '40 in all'],
    },
  ],
})
