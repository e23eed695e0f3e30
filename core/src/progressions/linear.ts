import { number } from 'yup'
import type { Rung } from '../explain/rung.ts'
import type { MaxInForce } from '../loads/source.ts'
import { maxRung } from '../loads/maxRung.ts'
import { percentField, stepField, strictObject, wholeField } from '../reading/index.ts'
import { addStep, formatLoad, formatNumber, inUnit, scale, type Load, type Step } from '../units/index.ts'
import { defineRule } from './rule.ts'

type Params = {
  /** The first load: a percent of the 1RM, or one load for everybody in both units. Exactly one of the two. */
  startPercent?: number
  startLoad?: Step
  /** Added after each hit, exact. */
  step: Step
  /** Misses in a row that lower the load; 1 to 10. */
  misses: number
  /** How far it is lowered, in percent of the load; 1 to 50. */
  resetBy: number
}

type State = { load: Load; misses: number; why: Rung[] }

/** The same sets and reps, heavier by a step after each hit; after so many misses in a row, lowered by a percent. */
export const linear = defineRule<Params, State>({
  kind: 'linear',
  title: 'Linear',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load'],
  params: strictObject({
    startPercent: percentField(),
    startLoad: stepField(),
    step: stepField(50).required(),
    misses: wholeField('misses in a row', 1, 10).required(),
    resetBy: number().strict().min(1).max(50).required().meta({ expected: 'a percent from 1 to 50' }),
  }).test(
    'fits',
    'exactly one of startPercent and startLoad',
    (p) => (p.startPercent === undefined) !== (p.startLoad === undefined),
  ),
  sentence: (p) =>
    `Start at ${p.startLoad ? both(p.startLoad) : `${formatNumber(p.startPercent ?? 0)}% of the 1RM`}; add ${both(p.step)} after ` +
    `each hit; after ${p.misses} ${p.misses === 1 ? 'miss' : 'misses in a row'} take ${formatNumber(p.resetBy)}% off.`,
  start({ lift, max, unit }, p) {
    if (p.startLoad) {
      const load = { value: p.startLoad[unit], unit }
      return { load, misses: 0, why: [{ id: 'linear.startLoad', data: { load } }] }
    }
    if (!max) return { need: 'max', lift }
    return startFrom(max, p.startPercent ?? 0)
  },
  next(state, { date, verdict, target }, p, { unit, land }) {
    const from = inUnit(target, unit)
    if (verdict === 'hit') return step(from, p.step, date)
    if (!date) return state
    if (verdict === 'hold')
      return { ...state, why: [{ id: 'linear.hold', data: { load: state.load, date } }] }
    const misses = state.misses + 1
    if (misses < p.misses) {
      return {
        load: from,
        misses,
        why: [{ id: 'linear.again', data: { load: from, date, misses, allowed: p.misses } }],
      }
    }
    const load = land(scale(from, 100 - p.resetBy))
    return {
      load,
      misses: 0,
      why: [{ id: 'linear.reset', data: { from, load, date, misses, percent: p.resetBy } }],
    }
  },
  ask: (state) => ({ load: state.load, rungs: state.why }),
  messages: {
    'linear.startLoad': 'linear progression starts everybody at {load}',
    'linear.start': 'linear progression starts at {percent}% of it: {load}',
    'linear.step': 'the rule’s {from} was a hit on {date}: plus {step} is {load}',
    'linear.ahead': 'if the rule’s {from} is a hit: plus {step} is {load}',
    'linear.hold': '{load} stays: the session of {date} was neither a step nor a miss',
    'linear.again':
      'the rule’s {load} was missed on {date} ({misses} of {allowed} misses in a row): the same again',
    'linear.reset':
      'the rule’s {from} was missed on {date}, {misses} in a row: minus {percent}%, on plates {load}',
  },
  examples: [
    {
      say: '3×5 at 60 with 2.5 goes 62.5, 65',
      params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
      max: null,
      verdicts: ['hit', 'hit'],
      asked: [60, 62.5, 65],
    },
    {
      say: 'three misses in a row at 100 go back to 90, a hit between them clears the count',
      params: { startPercent: 100, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      verdicts: ['miss', 'miss', 'hit', 'miss', 'miss', 'miss'],
      asked: [100, 100, 100, 102.5, 102.5, 102.5, 92.5],
    },
    {
      say: 'a hold keeps the load and the count',
      params: { startPercent: 80, step: { kg: 5, lb: 10 }, misses: 2, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      verdicts: ['miss', 'hold', 'miss'],
      asked: [80, 80, 80, 72.5],
    },
  ],
})

function startFrom(max: MaxInForce, percent: number): State {
  const load = scale(max.load, percent)
  return { load, misses: 0, why: [maxRung(max), { id: 'linear.start', data: { percent, load } }] }
}

function step(from: Load, by: Step, date: string | null): State {
  const load = addStep(from, by)
  const data = { from, step: { value: by[from.unit], unit: from.unit }, load }
  return {
    load,
    misses: 0,
    why: [date ? { id: 'linear.step', data: { ...data, date } } : { id: 'linear.ahead', data }],
  }
}

const both = (step: Step) =>
  `${formatLoad({ value: step.kg, unit: 'kg' })} (${formatLoad({ value: step.lb, unit: 'lb' })})`
