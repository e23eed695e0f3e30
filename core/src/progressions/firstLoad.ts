import { type WhyStep, declareSteps, type Fields } from '../words/index.ts'
import { exerciseOf } from '../library/index.ts'
import { repMaxOf, maxStep, type Need } from '../loads/index.ts'
import type { ObjectShape } from 'yup'
import { percentField, stepField, strictObject, wholeField } from '../parsing/index.ts'
import {
  addLoad,
  formatLoad,
  formatNumber,
  inUnit,
  scale,
  snap,
  type Load,
  type Rise,
  type Step,
} from '../units/index.ts'
import type { Starting } from './rule.ts'

/** The steps of a first load. */
export const sayFirst = declareSteps({
  'first.load': 'the progression’s first load, the same for everyone: {load}',
  'first.percent': 'the progression’s first load, {percent}%: {load}',
  'first.points': 'the track makes {percent}% of the {from}% that are written',
  'first.last': 'from the progression before, {from} on {date}: {percent}% of it, {load}',
  'first.carried': 'carried from the program before: {percent}% of {from} on {date}, {load}',
  'first.ahead': 'from the progression before, {from}: {percent}% of it, {load}',
})

/** How a rule's first load is stated: a percent of a max, or one load for everybody. Exactly one of the two. */
export type FirstLoad = {
  /** Percent of the 1RM, or of the max for `startReps` reps. */
  startPercent?: number
  startReps?: number
  /** The same for everybody, in both units. */
  startLoad?: Step
  /** Where the lift comes from another stage or rule: percent of its last load there, in place of the above. */
  startLast?: number
}

/** What acts only when a lift starts on a rule. */
export const startParams = ['startPercent', 'startReps', 'startLoad', 'startLast'] as const

/** The parameters of a rule that states a first load, with its own. */
export const startingWith = <S extends ObjectShape>(own: S) =>
  strictObject({
    startPercent: percentField(),
    startReps: wholeField('reps of the max that it is a percent of', 1, 10),
    startLoad: stepField(),
    startLast: percentField(),
    ...own,
  })
    .test(
      'fits',
      'exactly one of startPercent and startLoad, and startReps only with startPercent',
      (params) => {
        const { startPercent, startReps, startLoad } = params as FirstLoad
        return (
          (startPercent === undefined) !== (startLoad === undefined) &&
          (startReps === undefined || startPercent !== undefined)
        )
      },
    )
    .test('fits', '"resetFrom": the max, only where the first load is a percentage of the max', (params) => {
      const { startPercent, resetFrom } = params as FirstLoad & { resetFrom?: string }
      return resetFrom !== 'max' || startPercent !== undefined
    })

const percentOfMax = { of: 'First load', is: 'as a percentage of the max' }
const sameForAll = { of: 'First load', is: 'as one load for everyone' }

export const firstLoadWords: Fields = {
  startPercent: {
    label: 'First load',
    unit: '% of the max',
    hint: 'Of the 1RM, or of the rep max beside it.',
    way: percentOfMax,
  },
  startReps: {
    label: 'That max is for',
    unit: 'reps',
    hint: '5 means the 5RM. Empty means the 1RM.',
    way: percentOfMax,
  },
  'startLoad.kg': {
    label: 'First load',
    unit: 'kg',
    hint: 'The same load for every member, in kg and in lb.',
    way: sameForAll,
  },
  'startLoad.lb': {
    label: 'First load',
    unit: 'lb',
    hint: 'The same load for every member, in kg and in lb.',
    way: sameForAll,
  },
  startLast: {
    label: 'First load after another progression',
    unit: '% of its last load',
    hint: 'For a lift that comes from another progression. Empty: the first load above.',
    isRare: true,
  },
}

/** The words of a rise, in both units or in percent. */
export const riseWords = (path: string, label: string): Fields => {
  const inBoth = { of: label, is: 'in kg and lb' }
  const plain = (unit: 'kg' | 'lb') => ({ label, unit, hint: 'For members in each unit.', way: inBoth })
  const small = (unit: 'kg' | 'lb') => ({
    label: `${label}, small lifts`,
    unit,
    hint: 'For lifts that gain slowly, such as presses and isolation. Empty: the same step.',
    way: inBoth,
    isRare: true as const,
  })
  return {
    [`${path}.kg`]: plain('kg'),
    [`${path}.lb`]: plain('lb'),
    [`${path}.small.kg`]: small('kg'),
    [`${path}.small.lb`]: small('lb'),
    [`${path}.percent`]: {
      label,
      unit: '% of the load',
      hint: 'The step grows with the load.',
      way: { of: label, is: 'as a percentage of the load' },
    },
  }
}

/** "Start at 70% of the 1RM". */
export function sayFirstLoad({ startPercent = 0, startReps, startLoad, startLast }: FirstLoad): string {
  const own = startLoad
    ? sayStep(startLoad)
    : `${formatNumber(startPercent)}% of the ${startReps === undefined || startReps === 1 ? '1RM' : `${startReps}RM`}`
  return `Start at ${own}${startLast === undefined ? '' : `; after another progression at ${formatNumber(startLast)}% of its last load`}`
}

/** The first load, before rounding, with its rungs; or what is missing. A track's scale acts here, once. */
export function firstLoad(
  { library, lift, max, body, unit, first, last }: Starting,
  { startPercent = 0, startReps = 1, startLoad, startLast }: FirstLoad,
): { load: Load; why: WhyStep[] } | Need {
  // What is carried from another program is gone on with, where nothing is said of it.
  const ofLast = startLast ?? (last?.isCarried ? 100 : undefined)
  if (ofLast !== undefined && last) {
    const load = scale(inUnit(last.load, unit), ofLast)
    const data = { percent: ofLast, from: last.load, load, ...(last.date && { date: last.date }) }
    const step = last.isCarried ? 'first.carried' : 'first.last'
    return { load, why: [sayFirst(last.date ? step : 'first.ahead', data)] }
  }
  if (startLoad) {
    const own = scale({ value: startLoad[unit], unit }, first.scale)
    const why = [sayFirst('first.load', { load: own }), ...first.steps]
    if (exerciseOf(library, lift).tool !== 'body weight') return { load: own, why }
    if (!body) return { need: 'bodyWeight', lift }
    return { load: addLoad(inUnit(body, unit), own), why }
  }
  if (!max) return { need: 'max', lift }
  const base = repMaxOf(max, startReps)
  const percent = Math.max(1, snap(startPercent + first.points))
  const load = scale(base.load, percent)
  const points = sayFirst('first.points', { from: startPercent, percent })
  const why = [
    maxStep(max),
    ...base.steps,
    ...(first.points ? [points] : []),
    sayFirst('first.percent', { percent, load }),
  ]
  return { load: scale(load, first.scale), why: [...why, ...first.steps] }
}

/** "2.5 kg (5 lb)", "5 kg (10 lb), small lifts +2.5 kg (5 lb)", "2.5%". */
export function sayRise(by: Rise): string {
  if ('percent' in by) return `${formatNumber(by.percent)}%`
  return by.small ? `${sayStep(by)}, small lifts +${sayStep(by.small)}` : sayStep(by)
}

/** "2.5 kg (5 lb)". */
export const sayStep = ({ kg, lb }: Step): string =>
  `${formatLoad({ value: kg, unit: 'kg' })} (${formatLoad({ value: lb, unit: 'lb' })})`
