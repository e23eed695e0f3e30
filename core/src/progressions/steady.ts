import { type WhyStep, declareSteps, type Fields } from '../words/index.ts'
import { choiceField, percentOffField, riseField, wholeField } from '../parsing/index.ts'
import { compareLoads, formatNumber, inUnit, scale, snap, type Load, type Rise } from '../units/index.ts'
import type { Need } from '../loads/index.ts'
import { becauseWords } from './because.ts'
import { firstLoad, firstLoadWords, riseWords, type FirstLoad } from './firstLoad.ts'
import type { Exposure, Hand, Starting } from './rule.ts'

/** The steps of a load that rises and falls back. */
export const saySteady = declareSteps({
  'steady.step': '{from} was a hit on {date}: +{step} → {load}',
  'steady.ahead': 'if {from} is a hit: +{step} → {load}',
  'steady.hold': '{load} stays: the session of {date} counts neither as a hit nor as a miss',
  'steady.holdFor': '{load} stays: the session of {date} counts neither as a hit nor as a miss ({because})',
  'steady.again': '{load} was missed on {date} ({misses} of {allowed} misses in a row): the same again',
  'steady.fromMax': '{from} was missed on {date}, {misses} in a row: begun again from the max',
  'steady.maxNoLess': 'the first load would be {load} again, which is no less',
  'steady.reset': '{from} was missed on {date}, {misses} in a row: −{percent}%, down to {load}',
})

/** A load that rises by steps and falls back after misses: what several rules keep of a lift. */
export type Steady = { load: Load; misses: number; why: WhyStep[] }

export type Steps = {
  /** Added after each hit, exact. */
  step: Rise
  /** Misses in a row that lower the load; 1 to 10. */
  misses: number
  /** How far it is lowered, in percent of the load; 1 to 50. */
  resetBy: number
}

/** What a cut is from: the load that was missed, where nothing is stated; or it goes to the first percent of the max in force, where that is less. */
type ResetFrom = { resetFrom?: (typeof resets)[number] }
const resets = ['load', 'max'] as const

export const addedField = () => riseField().required()

export const resetFields = {
  misses: wholeField('misses in a row', 1, 10).required(),
  resetBy: percentOffField().required(),
}

/** The words of `resetFields`. */
export const resetWords: Fields = {
  misses: { label: 'Misses in a row before the cut', unit: 'sessions', hint: 'A hit clears the count.' },
  resetBy: { label: 'Cut after these misses', unit: '% of the load', hint: 'How much the load drops.' },
}

const resetFromWords: Fields = {
  resetFrom: {
    label: 'Cut from',
    unit: null,
    hint: 'The max: the first load again, as its percentage of today’s max.',
    choices: { '': 'the load that was missed', load: 'the load that was missed', max: 'the max' },
    isRare: true,
  },
}

/** A first load, one step after a hit, and a cut after misses: what most rules take, beside what is their own. */
export type SteadyParams = FirstLoad & Steps & ResetFrom

export const steadyFields = { step: addedField(), ...resetFields, resetFrom: choiceField(resets) }

/** The words of `SteadyParams`, by what a rule calls its step. */
export const steadyWords = (step: string): Fields => ({
  ...firstLoadWords,
  ...riseWords('step', step),
  ...resetWords,
  ...resetFromWords,
})

/** "After 3 misses in a row: −10%"; "After 3 misses in a row: the first load again, of today’s max, or −10% where that is no less". */
export const sayReset = (
  { misses, resetBy, resetFrom }: Omit<Steps, 'step'> & ResetFrom,
  of = '',
): string => {
  const cut = `−${formatNumber(resetBy)}%`
  const to =
    resetFrom === 'max' ? `the first load again, of today’s max, or ${cut} where that is no less` : cut
  return `${afterMisses(misses, of)}: ${to}`
}

/** "After 3 misses in a row". */
export const afterMisses = (misses: number, of = ''): string =>
  `After ${misses === 1 ? 'a miss' : `${misses} misses in a row`}${of}`

/** A lift at its first load with no misses yet, and what else a rule keeps; or what is missing. */
export function startSteady<M extends object>(
  known: Starting,
  params: FirstLoad,
  more: M,
): (Steady & M) | Need {
  const first = firstLoad(known, params)
  return 'need' in first ? first : { load: first.load, misses: 0, why: first.why, ...more }
}

/** After a hit a step up, after a miss the same again, after so many misses in a row a cut that lands on the plates at home. */
export function stepOrReset(
  steady: Steady,
  { date, verdict, target, because }: Exposure,
  params: SteadyParams,
  hand: Hand,
): Steady {
  const { step, misses: allowed, resetBy } = params
  const from = inUnit(target ?? steady.load, hand.unit)
  if (verdict === 'hit') return stepUp(from, step, date, hand)
  if (!date) return steady
  if (verdict === 'hold')
    return {
      ...steady,
      why: [holds(steady.load, date, because)],
    }
  const misses = steady.misses + 1
  if (misses < allowed)
    return { load: from, misses, why: [saySteady('steady.again', { load: from, date, misses, allowed })] }
  const again = params.resetFrom === 'max' ? hand.again?.(params) : undefined
  const first = again && !('need' in again) ? again : null
  if (first && compareLoads(first.load, from) < 0) {
    const why = [saySteady('steady.fromMax', { from, date, misses }), ...first.why]
    return { load: first.load, misses: 0, why }
  }
  const load = hand.land(scale(from, 100 - resetBy), from)
  const cut = saySteady('steady.reset', { from, load, date, misses, percent: resetBy })
  const noLess = first ? [saySteady('steady.maxNoLess', { load: first.load })] : []
  return { load, misses: 0, why: [...noLess, cut] }
}

/** A load that stays, with the reason where there is one to name. */
export const holds = (load: Load, date: string, because: Exposure['because']): WhyStep =>
  because
    ? saySteady('steady.holdFor', { load, date, because: becauseWords[because] })
    : saySteady('steady.hold', { load, date })

export function stepUp(from: Load, by: Rise, date: string | null, hand: Hand): Steady {
  const load = hand.raise(from, by)
  const step = { value: snap(load.value - from.value), unit: from.unit }
  const why = date
    ? saySteady('steady.step', { from, step, load, date })
    : saySteady('steady.ahead', { from, step, load })
  return { load, misses: 0, why: [why] }
}
