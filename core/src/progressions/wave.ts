import { declareSteps } from '../words/index.ts'
import { listField, strictObject } from '../parsing/index.ts'
import { inUnit, scale, type Load, type Rise } from '../units/index.ts'
import {
  riseWords,
  firstLoadWords,
  firstLoad,
  sayFirstLoad,
  sayRise,
  startingWith,
  type FirstLoad,
} from './firstLoad.ts'
import { defineRule } from './rule.ts'
import {
  creditOf,
  goalOf,
  plusField,
  plusWords,
  repsOfSets,
  sayPlus,
  sayScheme,
  schemeFields,
  type Plus,
  type Scheme,
} from './scheme.ts'
import {
  resetWords,
  addedField,
  resetFields,
  sayReset,
  stepOrReset,
  type Steady,
  type Steps,
} from './steady.ts'

const say = declareSteps({
  'wave.next':
    'the last session of the wave was a hit on {date}: the next wave starts above {first}, at {load}',
  'wave.nextAhead': 'if the last session of the wave is a hit: the next wave starts above {first}, at {load}',
  'wave.reset':
    'missed on {date}, {misses} in a row: the wave starts again {percent}% below {from}, down to {load}',
})

type Params = FirstLoad &
  Steps & {
    /** The exposures of one wave in their order, 2 to 6: 4 × 8, 3 × 6, 2 × 4. A missed one is repeated with its own sets. */
    parts: Scheme[]
    /** What the next wave's first load is above this one's. */
    nextWave: Rise
  } & Plus
type State = Steady & { first: Load; at: number }

/** Rises by a step for so many exposures, then falls back to a little above where it began. */
export const wave = defineRule<Params, State>({
  kind: 'wave',
  title: 'Wave',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load', 'sets', 'reps'],
  carriedBy: repsOfSets,
  params: startingWith({
    parts: listField('exposures of one wave', 6, 2).of(strictObject(schemeFields)).required(),
    step: addedField(),
    nextWave: addedField(),
    amrap: plusField(),
    ...resetFields,
  }),
  fields: {
    ...firstLoadWords,
    parts: {
      label: 'Session of the wave',
      unit: null,
      hint: 'Sets and reps, from the most reps to the fewest.',
    },
    'parts.#.sets': { label: 'Session #', unit: 'sets', hint: 'Work sets.' },
    'parts.#.reps': { label: 'Session #', unit: 'reps', hint: 'Reps of each set.' },
    ...riseWords('step', 'Step within the wave'),
    ...riseWords('nextWave', 'Next wave above this one'),
    ...plusWords,
    ...resetWords,
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. Waves of ${p.parts.map(sayScheme).join(', ')}${sayPlus(p)}; after each hit +${sayRise(p.step)}. ` +
    `The next wave starts ${sayRise(p.nextWave)} above this one. ${sayReset(p)}, and the wave starts again.`,
  start(known, p) {
    const first = firstLoad(known, p)
    return 'need' in first ? first : { ...first, misses: 0, first: first.load, at: 0 }
  },
  next({ first, at, ...steady }, exposure, p, hand) {
    const { date, verdict, target } = exposure
    const isLast = at + 1 >= p.parts.length
    if (verdict === 'hit' && isLast) {
      const load = hand.raise(inUnit(first, hand.unit), p.nextWave)
      const data = { load, first, ...(date && { date }) }
      return {
        load,
        misses: 0,
        first: load,
        at: 0,
        why: [say(date ? 'wave.next' : 'wave.nextAhead', data)],
      }
    }
    const next = stepOrReset(steady, exposure, p, hand)
    if (verdict === 'hit') return { ...next, first: at === 0 ? (target ?? first) : first, at: at + 1 }
    const isReset = verdict === 'miss' && date !== null && steady.misses + 1 >= p.misses
    if (!isReset) return { ...next, first, at }
    const missed = inUnit(target ?? steady.load, hand.unit)
    const load = hand.land(scale(inUnit(first, hand.unit), 100 - p.resetBy), missed)
    const data = { from: first, load, date, misses: steady.misses + 1, percent: p.resetBy }
    return { load, misses: 0, first: load, at: 0, why: [say('wave.reset', data)] }
  },
  credits(state, shown, { parts }) {
    const credit = creditOf(parts, state.at % parts.length, shown)
    return credit && { state: { ...state, at: credit.at }, order: credit.order }
  },
  ask({ load, why, at }, _role, p) {
    const scheme = p.parts[at % p.parts.length] as Scheme
    return { load, sets: scheme.sets, goal: goalOf(scheme, p), steps: why }
  },
  jumps: ({ step, nextWave }) => [step, nextWave],
  messages: say.messages,
  examples: [
    {
      say: 'three that rise by 5, and the next wave 2.5 above this one',
      params: {
        startLoad: { kg: 80, lb: 175 },
        parts: [
          { sets: 4, reps: 8 },
          { sets: 3, reps: 6 },
          { sets: 2, reps: 4 },
        ],
        step: { kg: 5, lb: 10 },
        nextWave: { kg: 2.5, lb: 5 },
        misses: 2,
        resetBy: 10,
      },
      max: null,
      exposures: ['hit', 'hit', 'hit', 'hit'],
      asked: ['4 × 8 @ 80', '3 × 6 @ 85', '2 × 4 @ 90', '4 × 8 @ 82.5', '3 × 6 @ 87.5'],
    },
    {
      say: 'with a last set for as many as possible',
      params: {
        startLoad: { kg: 60, lb: 135 },
        parts: [
          { sets: 3, reps: 5 },
          { sets: 3, reps: 3 },
        ],
        step: { kg: 5, lb: 10 },
        nextWave: { kg: 2.5, lb: 5 },
        amrap: 'last',
        misses: 1,
        resetBy: 10,
      },
      max: null,
      exposures: ['hit', 'hit'],
      asked: ['3 × 5+ @ 60', '3 × 3+ @ 65', '3 × 5+ @ 62.5'],
    },
    {
      say: 'two misses at the peak start the wave again, 10% below its first',
      params: {
        startLoad: { kg: 100, lb: 220 },
        parts: [
          { sets: 4, reps: 8 },
          { sets: 3, reps: 6 },
          { sets: 2, reps: 4 },
        ],
        step: { kg: 5, lb: 10 },
        nextWave: { kg: 2.5, lb: 5 },
        misses: 2,
        resetBy: 10,
      },
      max: null,
      exposures: ['hit', 'hit', 'miss', 'miss', 'hit'],
      asked: ['4 × 8 @ 100', '3 × 6 @ 105', '2 × 4 @ 110', '2 × 4 @ 110', '4 × 8 @ 90', '3 × 6 @ 95'],
    },
  ],
})
