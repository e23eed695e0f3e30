import { declareSteps } from '../words/index.ts'
import { listField, percentOffField, wholeField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale, type Load, type Rise } from '../units/index.ts'
import {
  riseWords,
  firstLoadWords,
  sayFirstLoad,
  sayRise,
  startingWith,
  type FirstLoad,
} from './firstLoad.ts'
import { defineRule } from './rule.ts'
import { creditOf, repsOfSets } from './scheme.ts'
import { addedField, startSteady, stepOrReset, type Steady } from './steady.ts'

const say = declareSteps({
  'growingSquares.larger': '{from} was missed on {date}: next {side} × {side} at −{percent}%, down to {load}',
  'growingSquares.again':
    'the last scheme was missed on {date}: back to {side} × {side} at its heaviest hit, {load}',
})

type Params = FirstLoad & {
  /** Sides of the squares in their order: 6 is six sets of six; 2 to 5 of them, each from 2 to 12. */
  sides: number[]
  step: Rise
  /** What is taken off, in percent of the load, when a larger square begins; 1 to 50. */
  lowerBy: number
}
type State = Steady & { at: number; best: (Load | null)[] }

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
  }),
  fields: {
    ...firstLoadWords,
    sides: { label: 'Scheme', unit: null, hint: 'One number for sets and reps: 5 is 5 × 5.' },
    'sides.#': { label: 'Scheme #', unit: 'sets and reps', hint: '5 is 5 × 5.' },
    ...riseWords('step', 'Step after a hit'),
    lowerBy: {
      label: 'Cut when the scheme changes',
      unit: '% of the load',
      hint: 'After a miss the next scheme starts at this much less.',
    },
  },
  sentence: (p) =>
    `For trained lifters. ${sayFirstLoad(p)}. ${p.sides.map((side) => `${side} × ${side}`).join(', then ')}; after each hit: +${sayRise(p.step)}. ` +
    `After a miss: the next scheme at −${formatNumber(p.lowerBy)}%. After a miss in the last scheme: the first one at its heaviest hit.`,
  start: (known, p) => startSteady(known, p, { at: 0, best: p.sides.map(() => null) }),
  next({ at, best, ...steady }, exposure, { sides, step, lowerBy }, hand) {
    const { date, verdict, target } = exposure
    const from = inUnit(target ?? steady.load, hand.unit)
    if (verdict === 'hit') {
      const reached = sides.map((_, i) => (i === at ? from : (best[i] ?? null)))
      return {
        ...stepOrReset(steady, exposure, { step, misses: 1, resetBy: lowerBy }, hand),
        at,
        best: reached,
      }
    }
    if (verdict === 'hold' || !date)
      return { ...stepOrReset(steady, exposure, { step, misses: 1, resetBy: lowerBy }, hand), at, best }
    const to = (at + 1) % sides.length
    const own = to === 0 ? best[0] : null
    const load = own ? inUnit(own, hand.unit) : hand.land(scale(from, 100 - lowerBy), from)
    const data = { from, date, side: sides[to] ?? 0, load, percent: lowerBy }
    return {
      load,
      misses: 0,
      at: to,
      best,
      why: [say(own ? 'growingSquares.again' : 'growingSquares.larger', data)],
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
      say: 'a square that was never done has no history: it begins lower',
      params: { startLoad: { kg: 100, lb: 220 }, sides: [6, 8], step: { kg: 2.5, lb: 5 }, lowerBy: 10 },
      max: null,
      exposures: ['miss', 'hold', 'miss'],
      asked: ['6 × 6 @ 100', '8 × 8 @ 90', '8 × 8 @ 90', '6 × 6 @ 80'],
    },
  ],
})
