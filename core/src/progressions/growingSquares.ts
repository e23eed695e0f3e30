import { type WhyStep, declareSteps } from '../words/index.ts'
import { choiceField, listField, percentOffField, wholeField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale, type Load, type Rise } from '../units/index.ts'
import {
  riseWords,
  firstLoadWords,
  sayFirstLoad,
  sayRise,
  startingWith,
  type FirstLoad,
} from './firstLoad.ts'
import { defineRule, isBarely, type Hand } from './rule.ts'
import { creditOf, repsOfSets } from './scheme.ts'
import { addedField, startSteady, stepOrReset, type Steady } from './steady.ts'

const say = declareSteps({
  'growingSquares.larger': '{from} was missed on {date}: next {side} × {side} at −{percent}%, down to {load}',
  'growingSquares.barely':
    '{from} was barely made on {date}: next {side} × {side} at −{percent}%, down to {load}',
  'growingSquares.inTime':
    '{weeks} weeks are over: next {side} × {side} at {from} −{percent}%, down to {load}',
  'growingSquares.again': 'the last scheme is over: back to {side} × {side} at its heaviest hit, {load}',
})

type Params = FirstLoad & {
  /** Sides of the squares in their order: 6 is six sets of six; 2 to 5 of them, each from 2 to 12. */
  sides: number[]
  step: Rise
  /** What is taken off, in percent of the load, when a larger square begins; 1 to 50. */
  lowerBy: number
  /** What ends a square: a miss where nothing is stated, or a hit that is barely made, before there is a miss. */
  until?: (typeof ends)[number]
  /** A square lasts no longer, from the week of its first exposure; 1 to 12. */
  weeks?: number
}
const ends = ['miss', 'barely'] as const
/** `since`: the week of the first exposure on a square, where its weeks are counted. */
type State = Steady & { at: number; best: (Load | null)[]; since?: number }

/** As many sets as reps, heavier until a miss; then the next larger square, lighter; after the largest, the first from where it stood. */
export const growingSquares = defineRule<Params, State>({
  kind: 'growingSquares',
  title: 'Sets and reps grow together',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load', 'sets', 'reps'],
  carriedBy: repsOfSets,
  params: startingWith({
    sides: listField('sides of squares', 5, 2)
      .of(wholeField('sets, and reps of each', 2, 12).required())
      .required(),
    step: addedField(),
    lowerBy: percentOffField().required(),
    until: choiceField(ends),
    weeks: wholeField('weeks on a square at most', 1, 12),
  }),
  fields: {
    ...firstLoadWords,
    sides: { label: 'Scheme', unit: null, hint: 'One number for sets and reps: 5 is 5 × 5.' },
    'sides.#': { label: 'Scheme #', unit: 'sets and reps', hint: '5 is 5 × 5.' },
    ...riseWords('step', 'Step after a hit'),
    lowerBy: {
      label: 'Cut when the scheme changes',
      unit: '% of the load',
      hint: 'The next scheme starts at this much less.',
    },
    until: {
      label: 'The next scheme comes',
      unit: null,
      hint: 'Barely made: the last set at 0 RIR.',
      choices: {
        '': 'after a miss',
        miss: 'after a miss',
        barely: 'after a hit that is barely made, or a miss',
      },
    },
    weeks: {
      label: 'A scheme lasts at most',
      unit: 'weeks',
      hint: 'Then the next one. Empty: as long as there is no miss.',
    },
  },
  sentence: (p) =>
    `For trained lifters. ${sayFirstLoad(p)}. ${p.sides.map((side) => `${side} × ${side}`).join(', then ')}; after each hit: +${sayRise(p.step)}. ` +
    `${p.until === 'barely' ? 'After a hit that is barely made, or a miss' : 'After a miss'}${sayWeeks(p)}: the next scheme at −${formatNumber(p.lowerBy)}%. ` +
    `After the last scheme: the first one at its heaviest hit.`,
  start: (known, p) => startSteady(known, p, { at: 0, best: p.sides.map(() => null) }),
  inTime(state, p, { week }, hand) {
    const { weeks } = p
    if (weeks === undefined || state.since === undefined || week - state.since < weeks) return state
    const from = inUnit(state.load, hand.unit)
    return nextSquare(state, from, p, hand, (data) => say('growingSquares.inTime', { ...data, weeks }))
  },
  next(state, exposure, p, hand) {
    const { at, best, since, ...steady } = state
    const { date, verdict, target } = exposure
    const { sides, step, lowerBy } = p
    const from = inUnit(target ?? steady.load, hand.unit)
    const reached = sides.map((_, i) => (i === at && verdict === 'hit' ? from : (best[i] ?? null)))
    const isOver = verdict === 'miss' || (p.until === 'barely' && isBarely(exposure))
    if (date && isOver) {
      const id = verdict === 'miss' ? 'growingSquares.larger' : 'growingSquares.barely'
      return nextSquare({ ...state, best: reached }, from, p, hand, (data) => say(id, { ...data, date }))
    }
    return {
      ...stepOrReset(steady, exposure, { step, misses: 1, resetBy: lowerBy }, hand),
      at,
      best: reached,
      ...(p.weeks !== undefined && { since: since ?? exposure.at.week }),
    }
  },
  credits(state, shown, { sides }) {
    const schemes = sides.map((side) => ({ sets: side, reps: side }))
    const credit = creditOf(schemes, state.at % sides.length, shown)
    return credit && { state: { ...state, at: credit.at }, order: credit.order }
  },
  ask({ load, why, at }, _role, { sides }) {
    const side = sides[at % sides.length] as number
    return { load, sets: side, goal: { reps: side }, steps: why }
  },
  jumps: ({ step }) => [step],
  messages: say.messages,
  examples: [
    {
      say: '6 × 6 until a miss, lower with 8 × 8, and from the last back to what 6 × 6 reached',
      params: { startLoad: { kg: 80, lb: 175 }, sides: [6, 8], step: { kg: 2.5, lb: 5 }, lowerBy: 20 },
      max: null,
      exposures: ['hit', 'hit', 'miss', 'hit', 'miss'],
      asked: ['6 × 6 @ 80', '6 × 6 @ 82.5', '6 × 6 @ 85', '8 × 8 @ 67.5', '8 × 8 @ 70', '6 × 6 @ 82.5'],
    },
    {
      say: 'before there is a miss: 62.5 was made at 0 RIR',
      params: {
        startLoad: { kg: 60, lb: 135 },
        sides: [6, 8],
        step: { kg: 2.5, lb: 5 },
        lowerBy: 20,
        until: 'barely',
      },
      max: null,
      exposures: [
        { verdict: 'hit', rir: [3, 3, 3, 2, 2, 2] },
        { verdict: 'hit', rir: [2, 2, 1, 1, 1, 0] },
        'hit',
        'miss',
      ],
      asked: ['6 × 6 @ 60', '6 × 6 @ 62.5', '8 × 8 @ 50', '8 × 8 @ 52.5', '6 × 6 @ 62.5'],
    },
    {
      say: 'two weeks on each square',
      params: {
        startLoad: { kg: 100, lb: 220 },
        sides: [6, 8],
        step: { kg: 2.5, lb: 5 },
        lowerBy: 10,
        weeks: 2,
      },
      max: null,
      exposures: ['hit', 'hit', 'hit', 'hit', 'hit'],
      asked: ['6 × 6 @ 100', '6 × 6 @ 102.5', '8 × 8 @ 92.5', '8 × 8 @ 95', '6 × 6 @ 102.5', '6 × 6 @ 105'],
    },
    {
      say: 'a square that was never done has no history: it begins lower',
      params: { startLoad: { kg: 100, lb: 220 }, sides: [6, 8], step: { kg: 2.5, lb: 5 }, lowerBy: 10 },
      max: null,
      exposures: ['miss', 'hold', 'miss'],
      asked: ['6 × 6 @ 100', '8 × 8 @ 90', '8 × 8 @ 90', '6 × 6 @ 80'],
    },
  ],
})

/** The next larger square with less on the bar; after the largest the first one, from where it stood. */
function nextSquare(
  { at, best }: Pick<State, 'at' | 'best'>,
  from: Load,
  { sides, lowerBy }: Params,
  hand: Hand,
  why: (data: { from: Load; side: number; load: Load; percent: number }) => WhyStep,
): State {
  const to = (at + 1) % sides.length
  const side = sides[to] ?? 0
  const own = to === 0 ? best[0] : null
  if (own) {
    const load = inUnit(own, hand.unit)
    return { load, misses: 0, at: to, best, why: [say('growingSquares.again', { side, load })] }
  }
  const load = hand.land(scale(from, 100 - lowerBy), from)
  return { load, misses: 0, at: to, best, why: [why({ from, side, load, percent: lowerBy })] }
}

const sayWeeks = ({ weeks }: Params): string =>
  weeks === undefined ? '' : `, or after ${weeks === 1 ? 'a week' : `${weeks} weeks`}`
