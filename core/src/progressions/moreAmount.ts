import { sayReset } from './steady.ts'
import { type WhyStep, declareSteps } from '../words/index.ts'
import { kindOf } from '../goals/index.ts'
import { numberField, percentField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber, snap } from '../units/index.ts'
import { defineRule } from './rule.ts'

const say = declareSteps({
  'moreAmount.more': '{from} was a hit on {date}: next {amount}',
  'moreAmount.ahead': 'if {from} is a hit: next {amount}',
  'moreAmount.again': '{amount} was missed on {date} ({misses} of {allowed} in a row): the same again',
  'moreAmount.lower': '{from} was missed on {date}, {misses} in a row: −{percent}% → {amount}',
})

type Params = {
  /** In the unit that the slot is written in: seconds, metres, kilometres, rounds; above 0, at most 100,000. */
  first: number
  add: number
  most: number
  /** Misses in a row that lower it, and how far, in percent; 1 to 10, 1 to 50. */
  misses: number
  lowerBy: number
}
type State = { amount: number; misses: number; why: WhyStep[] }

/** More time, distance or rounds: the amount grows after each hit up to a most, and is cut after misses in a row. */
export const moreAmount = defineRule<Params, State>({
  kind: 'moreAmount',
  title: 'More time, distance or rounds',
  clock: 'exposure',
  onlyAtStart: ['first'],
  from: 'asked',
  roles: ['main'],
  writes: ['reps'],
  carriedBy: {
    expected: 'a goal of a time, a distance or rounds',
    fits: (goal) => kindOf(goal).withAmount !== undefined,
    sample: { sets: 1, goal: { seconds: 45 } },
  },
  params: strictObject({
    first: amountField('to begin with').required(),
    add: amountField('added after a hit').required(),
    most: amountField('at most').required(),
    misses: wholeField('misses in a row', 1, 10).required(),
    lowerBy: percentField().max(50).required(),
  }).test('fits', '"most" at least "first"', ({ first, most }) => most >= first),
  fields: {
    first: { label: 'First amount', unit: 'seconds, metres or rounds', hint: 'In the unit of the sets.' },
    add: { label: 'Added after a hit', unit: 'seconds, metres or rounds', hint: 'In the unit of the sets.' },
    most: { label: 'Most', unit: 'seconds, metres or rounds', hint: 'The amount rises no further.' },
    misses: { label: 'Misses in a row before the cut', unit: 'sessions', hint: 'A hit clears the count.' },
    lowerBy: { label: 'Cut after these misses', unit: '% of the amount', hint: 'How much the amount drops.' },
  },
  sentence: ({ first, add, most, misses, lowerBy }) =>
    `Start at ${formatNumber(first)} (seconds, metres or rounds, as the sets say). After a hit: +${formatNumber(add)}, up to ${formatNumber(most)}. ` +
    `${sayReset({ misses, resetBy: lowerBy })}.`,
  start: (_known, { first }) => ({ amount: first, misses: 0, why: [] }),
  next(state, { date, verdict }, { add, most, misses: allowed, lowerBy }) {
    const { amount } = state
    if (verdict === 'hit') {
      const next = Math.min(most, snap(amount + add))
      const data = { from: amount, amount: next, ...(date && { date }) }
      return { amount: next, misses: 0, why: [say(date ? 'moreAmount.more' : 'moreAmount.ahead', data)] }
    }
    if (verdict === 'hold' || !date) return state
    const misses = state.misses + 1
    if (misses < allowed)
      return { amount, misses, why: [say('moreAmount.again', { amount, date, misses, allowed })] }
    const lower = Math.max(1, Math.round((amount * (100 - lowerBy)) / 100))
    const next = amount < 1 ? amount : Math.min(amount, lower)
    const data = { from: amount, amount: next, date, misses, percent: lowerBy }
    return { amount: next, misses: 0, why: [say('moreAmount.lower', data)] }
  },
  credits(state, { goal }) {
    const kind = goal && kindOf(goal)
    const amount = goal && kind?.amount?.(goal)
    if (!goal || amount === undefined) return null
    const own = kind?.withAmount?.(goal, state.amount)
    if (own && kind?.amount?.(own) === amount) return { state, order: 0 }
    return { state: { ...state, amount }, order: amount - state.amount }
  },
  ask: ({ amount, why }) => ({ amount, steps: why }),
  messages: say.messages,
  examples: [
    {
      say: 'a hold of 30 seconds grows by 10 to a minute, and two misses take a fifth off',
      params: { first: 30, add: 10, most: 60, misses: 2, lowerBy: 20 },
      max: null,
      exposures: ['hit', 'hit', 'hit', 'hit', 'hold', 'miss', 'miss'],
      asked: ['30', '40', '50', '60', '60', '60', '60', '48'],
    },
  ],
})

function amountField(what: string) {
  return numberField(`an amount ${what}, above 0, at most 100000`, 0.01, 100_000)
}
