import { declareSteps } from '../words/index.ts'
import { choiceField, listField, percentOffField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale, type Rise } from '../units/index.ts'
import { firstLoadWords, sayFirstLoad, sayRise, startingWith, type FirstLoad } from './firstLoad.ts'
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
import { addedField, afterMisses, resetFields, startSteady, stepOrReset, type Steady } from './steady.ts'

const say = declareSteps({
  'schemeLadder.on': '{load} was missed on {date}, {misses} in a row: next {sets} × {reps} at the same load',
  'schemeLadder.stays':
    'the last scheme was missed on {date}, {misses} in a row: {sets} × {reps} again at {from} −{percent}%, down to {load}',
  'schemeLadder.inTime': '{weeks} weeks of {before} are over: next {sets} × {reps} at the same load, {load}',
  'schemeLadder.backInTime':
    '{weeks} weeks of the last scheme are over: back to {sets} × {reps} at {from} −{percent}%, down to {load}',
  'schemeLadder.back':
    'the last scheme was missed on {date}, {misses} in a row: back to {sets} × {reps} at {from} −{percent}%, down to {load}',
})

type Stage = Scheme & {
  step: Rise
  /** It lasts no longer, from the week of its first exposure; 1 to 12. */ weeks?: number
}
type Params = FirstLoad & {
  /** 2 to 6 rungs, the first one first: 5 × 5, 4 × 4, 3 × 3, each with what a hit adds. */
  schemes: Stage[]
  /** Misses in a row that move the lift on to the next rung; 1 to 10. */
  misses: number
  /** What is taken off, in percent of the load, when it goes from the last rung back to the first; 1 to 50. */
  backBy: number
  /** What comes after the last rung: the first one again where nothing is stated, or the last one goes on. */
  atEnd?: (typeof ends)[number]
} & Plus
const ends = ['back', 'stay'] as const
/** `since`: the week of the first exposure on a rung whose weeks are counted. */
type State = Steady & { scheme: number; since?: number }

/**
 * Fewer and heavier sets each time the lift stops rising, or after so many weeks: the same load on the next rung, and after the last one back
 * with less.
 */
export const schemeLadder = defineRule<Params, State>({
  kind: 'schemeLadder',
  title: 'Fewer, heavier sets after misses',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load', 'sets', 'reps'],
  carriedBy: repsOfSets,
  params: startingWith({
    schemes: listField('schemes, sets by reps', 6, 2)
      .of(
        strictObject({
          ...schemeFields,
          step: addedField(),
          weeks: wholeField('weeks of the scheme at most', 1, 12),
        }),
      )
      .required(),
    amrap: plusField(),
    misses: resetFields.misses,
    backBy: percentOffField().required(),
    atEnd: choiceField(ends),
  }),
  fields: {
    ...firstLoadWords,
    schemes: { label: 'Scheme', unit: null, hint: 'Sets and reps, from the most reps to the fewest.' },
    'schemes.#.sets': { label: 'Scheme #', unit: 'sets', hint: 'Work sets.' },
    'schemes.#.reps': { label: 'Scheme #', unit: 'reps', hint: 'Reps of each set.' },
    'schemes.#.step.kg': { label: 'Scheme #: step after a hit', unit: 'kg', hint: 'Give it in kg and lb.' },
    'schemes.#.step.lb': { label: 'Scheme #: step after a hit', unit: 'lb', hint: 'Give it in kg and lb.' },
    'schemes.#.weeks': {
      label: 'Scheme #: for at most',
      unit: 'weeks',
      hint: 'Then the next one, without misses. Empty: until the misses.',
    },
    ...plusWords,
    misses: {
      label: 'Misses in a row before the next scheme',
      unit: 'sessions',
      hint: 'A hit clears the count.',
    },
    backBy: {
      label: 'Cut after the last scheme',
      unit: '% of the load',
      hint: 'After the misses in the last scheme.',
    },
    atEnd: {
      label: 'After the last scheme',
      unit: null,
      hint: 'Both with the cut.',
      choices: { '': 'the first one again', back: 'the first one again', stay: 'the last one goes on' },
    },
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. ${p.schemes.map((scheme) => `${sayScheme(scheme)}, after each hit +${sayRise(scheme.step)}${sayWeeks(scheme)}`).join('; then ')}${sayPlus(p)}. ` +
    `${afterMisses(p.misses)}: the next scheme with the same load; in the last scheme: ${p.atEnd === 'stay' ? 'the same' : 'the first one'} at −${formatNumber(p.backBy)}%.`,
  start: (known, p) => startSteady(known, p, { scheme: 0 }),
  inTime(state, { schemes, backBy, atEnd }, { week }, hand) {
    const { load: from, scheme, since } = state
    const own = schemes[scheme % schemes.length] as Stage
    const { weeks } = own
    if (weeks === undefined || since === undefined || week - since < weeks) return state
    const to = (scheme + 1) % schemes.length
    if (to === 0 && atEnd === 'stay') return state
    const { sets, reps } = schemes[to] as Stage
    const data = { weeks, before: sayScheme(own), sets, reps, load: from }
    if (to > 0) return { load: from, misses: 0, scheme: to, why: [say('schemeLadder.inTime', data)] }
    const load = hand.land(scale(inUnit(from, hand.unit), 100 - backBy), inUnit(from, hand.unit))
    const why = [say('schemeLadder.backInTime', { ...data, from, load, percent: backBy })]
    return { load, misses: 0, scheme: 0, why }
  },
  next({ scheme, since, ...steady }, exposure, { schemes, misses, backBy, atEnd }, hand) {
    const { step, weeks } = schemes[scheme % schemes.length] as Stage
    const { date, verdict } = exposure
    if (verdict !== 'miss' || !date || steady.misses + 1 < misses) {
      const next = stepOrReset(steady, exposure, { step, misses, resetBy: backBy }, hand)
      return { ...next, scheme, ...(weeks !== undefined && { since: since ?? exposure.at.week }) }
    }
    const from = inUnit(exposure.target ?? steady.load, hand.unit)
    const isLast = (scheme + 1) % schemes.length === 0
    const to = isLast && atEnd === 'stay' ? scheme : (scheme + 1) % schemes.length
    const { sets, reps } = schemes[to] as Stage
    const data = { load: from, date, misses: steady.misses + 1, sets, reps }
    if (!isLast) return { load: from, misses: 0, scheme: to, why: [say('schemeLadder.on', data)] }
    const load = hand.land(scale(from, 100 - backBy), from)
    const id = to === scheme ? 'schemeLadder.stays' : 'schemeLadder.back'
    return { load, misses: 0, scheme: to, why: [say(id, { ...data, from, load, percent: backBy })] }
  },
  credits(state, shown, { schemes }) {
    const credit = creditOf(schemes, state.scheme % schemes.length, shown)
    return credit && { state: { ...state, scheme: credit.at }, order: credit.order }
  },
  ask({ load, why, scheme }, _role, p) {
    const own = p.schemes[scheme % p.schemes.length] as Stage
    return { load, sets: own.sets, goal: goalOf(own, p), steps: why }
  },
  jumps: ({ schemes }) => schemes.map(({ step }) => step),
  messages: say.messages,
  examples: [
    {
      say: '5 × 5 by 2.5, then 4 × 4 by 5, then back to 5 × 5 with 10% off',
      params: {
        startLoad: { kg: 100, lb: 220 },
        schemes: [
          { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 } },
          { sets: 4, reps: 4, step: { kg: 5, lb: 10 } },
        ],
        misses: 1,
        backBy: 10,
      },
      max: null,
      exposures: ['hit', 'miss', 'hit', 'miss'],
      asked: ['5 × 5 @ 100', '5 × 5 @ 102.5', '4 × 4 @ 102.5', '4 × 4 @ 107.5', '5 × 5 @ 95'],
    },
    {
      say: 'with every set for as many as possible',
      params: {
        startLoad: { kg: 100, lb: 220 },
        schemes: [
          { sets: 2, reps: 8, step: { kg: 2.5, lb: 5 } },
          { sets: 2, reps: 5, step: { kg: 2.5, lb: 5 } },
        ],
        amrap: 'all',
        misses: 1,
        backBy: 10,
      },
      max: null,
      exposures: ['hit', 'miss'],
      asked: ['2 × 8+ every set @ 100', '2 × 8+ every set @ 102.5', '2 × 5+ every set @ 102.5'],
    },
    {
      say: 'the last scheme goes on, with 10% off',
      params: {
        startLoad: { kg: 100, lb: 220 },
        schemes: [
          { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 } },
          { sets: 3, reps: 3, step: { kg: 2.5, lb: 5 } },
        ],
        misses: 1,
        backBy: 10,
        atEnd: 'stay',
      },
      max: null,
      exposures: ['miss', 'hit', 'miss', 'hit'],
      asked: ['5 × 5 @ 100', '3 × 3 @ 100', '3 × 3 @ 102.5', '3 × 3 @ 90', '3 × 3 @ 92.5'],
    },
    {
      say: 'two weeks of 5 × 5, and 4 × 4 until it is missed',
      params: {
        startLoad: { kg: 100, lb: 220 },
        schemes: [
          { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 }, weeks: 2 },
          { sets: 4, reps: 4, step: { kg: 2.5, lb: 5 } },
        ],
        misses: 1,
        backBy: 10,
      },
      max: null,
      exposures: ['hit', 'hit', 'hit', 'miss'],
      asked: ['5 × 5 @ 100', '5 × 5 @ 102.5', '4 × 4 @ 105', '4 × 4 @ 107.5', '5 × 5 @ 95'],
    },
    {
      say: 'a week on each, and back with 10% off',
      params: {
        startLoad: { kg: 100, lb: 220 },
        schemes: [
          { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 }, weeks: 1 },
          { sets: 3, reps: 3, step: { kg: 5, lb: 10 }, weeks: 1 },
        ],
        misses: 2,
        backBy: 10,
      },
      max: null,
      exposures: ['hit', 'hit', 'hit'],
      asked: ['5 × 5 @ 100', '3 × 3 @ 102.5', '5 × 5 @ 95', '3 × 3 @ 97.5'],
    },
    {
      say: 'a hold changes neither scheme nor load',
      params: {
        startLoad: { kg: 100, lb: 220 },
        schemes: [
          { sets: 5, reps: 5, step: { kg: 2.5, lb: 5 } },
          { sets: 3, reps: 3, step: { kg: 5, lb: 10 } },
        ],
        misses: 2,
        backBy: 10,
      },
      max: null,
      exposures: ['miss', 'hold', 'miss'],
      asked: ['5 × 5 @ 100', '5 × 5 @ 100', '5 × 5 @ 100', '3 × 3 @ 100'],
    },
  ],
})

const sayWeeks = ({ weeks }: Stage): string =>
  weeks === undefined ? '' : `, for at most ${weeks === 1 ? 'a week' : `${weeks} weeks`}`
