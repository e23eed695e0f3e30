import { declareSteps } from '../words/index.ts'
import { choiceField, wholeField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale } from '../units/index.ts'
import { sayFirstLoad, sayRise, startingWith } from './firstLoad.ts'
import { defineRule } from './rule.ts'
import {
  afterMisses,
  sayReset,
  startSteady,
  steadyFields,
  steadyWords,
  stepOrReset,
  type Steady,
  type SteadyParams,
} from './steady.ts'

const say = declareSteps({
  'linear.deload':
    '{load} was missed on {date}, {misses} in a row: one week at −{percent}%, then {load} again',
  'linear.easy': 'this week at −{percent}%: {load}',
  'linear.spaced': 'missed on {date}: from now on a step takes {every} hits',
  'linear.waits': '{load} was a hit on {date}: {hits} of {every} hits to the next step',
  'linear.waitsAhead': 'if {load} is a hit: {hits} of {every} hits to the next step',
})

/** What so many misses in a row lead to; a cut where nothing is stated. */
const stalls = ['cut', 'deload', 'spaceOut'] as const
type Params = SteadyParams & {
  onStall?: (typeof stalls)[number]
  /** Hits that a step takes; 1 to 10, and 1 where nothing is stated. */
  hits?: number
}

/**
 * `easyWeek`: a week at less, and then on from the load that stalled; 0 until it begins. `every`: hits that a step takes since it was spaced out; `hits`:
 * how many of those that a step takes there are.
 */
type State = Steady & { easyWeek?: number; every?: number; hits?: number }

/** Rises spaced out no further than this. */
const mostSpaced = 3

/**
 * The same sets and reps, heavier by a step after each hit. After so many misses in a row it is lowered by a percent; or has one
 * deload and goes on; or rises only with every second hit from there, then every third.
 */
export const linear = defineRule<Params, State>({
  kind: 'linear',
  title: 'Linear',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load'],
  params: startingWith({
    ...steadyFields,
    onStall: choiceField(stalls),
    hits: wholeField('hits that a step takes', 1, 10),
  }).test('fits', '"resetFrom" only where the load is cut', (params) => {
    const { onStall, resetFrom } = params as unknown as Params
    return resetFrom === undefined || onStall !== 'deload'
  }),
  fields: {
    ...steadyWords('Step after a hit'),
    hits: {
      label: 'Hits before the step',
      unit: 'sessions',
      hint: 'Empty: a step after every hit.',
      isRare: true,
    },
    onStall: {
      label: 'After these misses',
      unit: null,
      hint: 'What happens once the misses are reached.',
      choices: {
        '': 'cut the load',
        cut: 'cut the load',
        deload: 'deload, then the same load again',
        spaceOut: 'cut the load, then step less often',
      },
    },
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. After ${(p.hits ?? 1) > 1 ? `${p.hits} hits in a row` : 'a hit'}: +${sayRise(p.step)}. ${sayStall(p)}.`,
  start: (known, p) => startSteady(known, p, {}),
  next(state, exposure, p, hand) {
    const { date, at, verdict, target } = exposure
    const { load: steadyLoad, misses, why, easyWeek, hits = 0 } = state
    const every = state.every ?? p.hits ?? 1
    const steady: Steady = { load: steadyLoad, misses, why }
    const spaced = state.every === undefined ? {} : { every }
    if (easyWeek !== undefined && (easyWeek === 0 || easyWeek === at.week))
      return { ...state, easyWeek: at.week }
    const isStalled = verdict === 'miss' && date !== null && steady.misses + 1 >= p.misses
    if (isStalled && p.onStall === 'deload') {
      const load = inUnit(target ?? steady.load, hand.unit)
      const data = { load, date, misses: p.misses, percent: p.resetBy }
      return { load, misses: 0, easyWeek: 0, ...spaced, why: [say('linear.deload', data)] }
    }
    if (isStalled && p.onStall === 'spaceOut') {
      const wider = Math.max(every, Math.min(mostSpaced, every + 1))
      const next = stepOrReset(steady, exposure, p, hand)
      const data = { date, every: wider }
      return { ...next, every: wider, why: [...next.why, say('linear.spaced', data)] }
    }
    if (verdict === 'hit' && hits + 1 < every) {
      const load = inUnit(target ?? steady.load, hand.unit)
      const data = { load, hits: hits + 1, every, ...(date && { date }) }
      const why = [say(date ? 'linear.waits' : 'linear.waitsAhead', data)]
      return { load, misses: 0, ...spaced, hits: hits + 1, why }
    }
    // On from the load that stalled, whatever the deload was at.
    const heard = easyWeek === undefined ? exposure : { ...exposure, target: target && steady.load }
    const next: State = stepOrReset(steady, heard, p, hand)
    return { ...next, ...spaced }
  },
  ask({ load, why, easyWeek }, _role, { resetBy }, at) {
    if (easyWeek === undefined || (easyWeek !== 0 && easyWeek !== at.week)) return { load, steps: why }
    const easy = scale(load, 100 - resetBy)
    return { load: easy, steps: [...why, say('linear.easy', { load: easy, percent: resetBy })] }
  },
  jumps: ({ step }) => [step],
  messages: say.messages,
  examples: [
    {
      say: '3×5 at 60 with 2.5 goes 62.5, 65',
      params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
      max: null,
      exposures: ['hit', 'hit'],
      asked: [60, 62.5, 65],
    },
    {
      say: 'three misses in a row at 102.5 go back to 90, a hit between them clears the count',
      params: { startPercent: 100, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      exposures: ['miss', 'miss', 'hit', 'miss', 'miss', 'miss'],
      asked: [100, 100, 100, 102.5, 102.5, 102.5, 90],
    },
    {
      say: 'a deload then on: 90 in the week after the stall, 100 again behind it',
      params: { startPercent: 100, step: { kg: 2.5, lb: 5 }, misses: 2, resetBy: 10, onStall: 'deload' },
      max: { value: 100, unit: 'kg' },
      exposures: ['miss', 'miss', 'hit', 'hit', 'hit'],
      asked: [100, 100, 90, 100, 102.5, 105],
    },
    {
      say: 'spaced out: after a stall a step takes two hits, after the next three',
      params: { startPercent: 100, step: { kg: 2.5, lb: 5 }, misses: 1, resetBy: 10, onStall: 'spaceOut' },
      max: { value: 100, unit: 'kg' },
      exposures: ['miss', 'hit', 'hit', 'miss', 'hit', 'hit', 'hit'],
      asked: [100, 90, 90, 92.5, 82.5, 82.5, 82.5, 85],
    },
    {
      say: 'two hits a step: the first of them waits, and a miss clears it',
      params: { startPercent: 100, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10, hits: 2 },
      max: { value: 100, unit: 'kg' },
      exposures: ['hit', 'hit', 'hit', 'miss', 'hit', 'hit'],
      asked: [100, 100, 102.5, 102.5, 102.5, 102.5, 105],
    },
    {
      say: 'a percent of the load in place of a step',
      params: { startPercent: 100, step: { percent: 2.5 }, misses: 1, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      exposures: ['hit', 'hit'],
      asked: [100, 102.5, 105.0625],
    },
    {
      say: 'a hold keeps the load and the count',
      params: { startPercent: 80, step: { kg: 5, lb: 10 }, misses: 2, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      exposures: ['miss', 'hold', 'miss'],
      asked: [80, 80, 80, 70],
    },
  ],
})

function sayStall(p: Params): string {
  if (p.onStall === 'deload')
    return `${afterMisses(p.misses)}: one week at −${formatNumber(p.resetBy)}%, then the load that stalled again`
  return `${sayReset(p)}${p.onStall === 'spaceOut' ? ', then a step after every second hit, later after every third' : ''}`
}
