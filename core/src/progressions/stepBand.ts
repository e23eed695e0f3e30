import { declareSteps } from '../words/index.ts'
import { percentField, wholeField } from '../parsing/index.ts'
import { formatNumber, inUnit, scale } from '../units/index.ts'
import { sayFirstLoad, sayRise, startingWith } from './firstLoad.ts'
import { defineRule } from './rule.ts'
import {
  sayReset,
  startSteady,
  steadyFields,
  steadyWords,
  stepOrReset,
  type Steady,
  type SteadyParams,
} from './steady.ts'

const say = declareSteps({
  'stepBand.flat': '{load} was a hit on {date}, {hits} of {of} at this load: the same again',
  'stepBand.flatAhead': 'if {load} is a hit, {hits} of {of} at this load: the same again',
  'stepBand.share': '{role} session at {percent}%: {load}',
})

type Params = SteadyParams & {
  /** Hits at one load before the step; 1 to 50. */
  hits: number
  /** What sessions in the roles small and large take of the load, in percent. */
  small?: number
  large?: number
}
type State = Steady & { hits: number }

const shareOf = (role: string, { small = 100, large = 100 }: Params): number =>
  role === 'small' ? small : role === 'large' ? large : 100

/** The same load, or a narrow band around it in small, medium and large sessions, for so many hits; then a step up. */
export const stepBand = defineRule<Params, State>({
  kind: 'stepBand',
  title: 'Step loading',
  clock: 'exposure',
  from: 'asked',
  roles: ['main', 'small', 'medium', 'large'],
  writes: ['load'],
  params: startingWith({
    hits: wholeField('hits at one load', 1, 50).required(),
    ...steadyFields,
    small: percentField(),
    large: percentField(),
  }).test(
    'fits',
    '"small" at most 100, "large" at least 100',
    ({ small = 100, large = 100 }) => small <= 100 && large >= 100,
  ),
  fields: {
    ...steadyWords('Step'),
    hits: { label: 'Hits at one load before a step', unit: 'sessions', hint: 'A miss is not counted.' },
    small: {
      label: 'Small session',
      unit: '% of the load',
      hint: 'For the role “small”. Empty: the same load.',
      isRare: true,
    },
    large: {
      label: 'Large session',
      unit: '% of the load',
      hint: 'For the role “large”. Empty: the same load.',
      isRare: true,
    },
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. After ${p.hits === 1 ? 'a hit' : `${p.hits} hits at one load`}: +${sayRise(p.step)}. ` +
    `${p.small === undefined ? '' : `Small sessions: ${formatNumber(p.small)}% of the load. `}` +
    `${p.large === undefined ? '' : `Large sessions: ${formatNumber(p.large)}% of the load. `}${sayReset(p)}.`,
  start: (known, p) => startSteady(known, p, { hits: 0 }),
  next({ hits, ...steady }, exposure, p, hand) {
    // A small or a large session is judged at its own load and counts for the load in the middle.
    const heard = shareOf(exposure.role, p) === 100 ? exposure : { ...exposure, target: steady.load }
    if (exposure.verdict !== 'hit' || hits + 1 >= p.hits) {
      const next = stepOrReset(steady, heard, p, hand)
      return { ...next, hits: exposure.verdict === 'hit' ? 0 : hits }
    }
    const load = inUnit(heard.target ?? steady.load, hand.unit)
    const data = { load, hits: hits + 1, of: p.hits, ...(exposure.date && { date: exposure.date }) }
    const id = exposure.date ? 'stepBand.flat' : 'stepBand.flatAhead'
    return { load, misses: 0, hits: hits + 1, why: [{ id, data }] }
  },
  ask({ load, why }, role, p) {
    const percent = shareOf(role, p)
    if (percent === 100) return { load, steps: why }
    const own = scale(load, percent)
    return { load: own, steps: [...why, say('stepBand.share', { role, percent, load: own })] }
  },
  jumps: ({ step }) => [step],
  messages: say.messages,
  examples: [
    {
      say: 'three sessions at 100, then three at 105; a miss between them is no hit',
      params: { startLoad: { kg: 100, lb: 220 }, hits: 3, step: { kg: 5, lb: 10 }, misses: 2, resetBy: 10 },
      max: null,
      exposures: ['hit', 'hit', 'miss', 'hit', 'hit'],
      asked: [100, 100, 100, 100, 105, 105],
    },
    {
      say: 'large sessions stand 5% above the middle of the band',
      params: {
        startLoad: { kg: 100, lb: 220 },
        hits: 2,
        step: { kg: 5, lb: 10 },
        small: 95,
        large: 105,
        misses: 2,
        resetBy: 10,
      },
      max: null,
      role: 'large',
      exposures: ['hit', 'hit'],
      asked: [105, 105, 110.25],
    },
  ],
})
