import { declareSteps } from '../words/index.ts'
import { percentField } from '../parsing/index.ts'
import { formatNumber, scale, type Rise } from '../units/index.ts'
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
  resetWords,
  addedField,
  resetFields,
  sayReset,
  stepOrReset,
  type Steady,
  type Steps,
} from './steady.ts'

const say = declareSteps({
  'volumeHeavy.heavy': 'the first heavy day is {percent}% of the volume day: {load}',
})

type Params = FirstLoad &
  Omit<Steps, 'step'> & {
    /** The first heavy day, in percent of the first volume day. */
    heavyPercent: number
    volumeStep: Rise
    heavyStep: Rise
  }

type State = { volume: Steady; heavy: Steady }

/**
 * A volume day and a heavy day of one lift, each beating its own last by a step; a light day between them moves nothing and
 * reads the volume day by a load of `role`.
 */
export const volumeHeavy = defineRule<Params, State>({
  kind: 'volumeHeavy',
  title: 'Volume, light and heavy day',
  clock: 'exposure',
  onlyAtStart: ['heavyPercent'],
  from: 'asked',
  roles: ['volume', 'light', 'heavy'],
  quiet: ['light'],
  writes: ['load'],
  params: startingWith({
    heavyPercent: percentField().required(),
    volumeStep: addedField(),
    heavyStep: addedField(),
    ...resetFields,
  }),
  fields: {
    ...firstLoadWords,
    heavyPercent: { label: 'First heavy day', unit: '% of the volume day', hint: 'For example 111.' },
    ...riseWords('volumeStep', 'Volume day’s step after a hit'),
    ...riseWords('heavyStep', 'Heavy day’s step after a hit'),
    ...resetWords,
  },
  sentence: (p) =>
    `Volume day: ${sayFirstLoad(p).replace('Start', 'start')}; after each hit +${sayRise(p.volumeStep)}. Heavy day: start at ` +
    `${formatNumber(p.heavyPercent)}% of the volume day; after each hit +${sayRise(p.heavyStep)}. ` +
    `${sayReset(p, ' of either day')} for that day.`,
  start(known, p) {
    const volume = firstLoad(known, p)
    if ('need' in volume) return volume
    const load = scale(volume.load, p.heavyPercent)
    const heavy = say('volumeHeavy.heavy', { percent: p.heavyPercent, load })
    return { volume: { ...volume, misses: 0 }, heavy: { load, misses: 0, why: [...volume.why, heavy] } }
  },
  next(state, exposure, { volumeStep, heavyStep, misses, resetBy }, hand) {
    const role = exposure.role === 'heavy' ? 'heavy' : 'volume'
    const steps = { step: role === 'heavy' ? heavyStep : volumeStep, misses, resetBy }
    return { ...state, [role]: stepOrReset(state[role], exposure, steps, hand) }
  },
  ask(state, role) {
    const { load, why } = state[role === 'heavy' ? 'heavy' : 'volume']
    return { load, steps: why }
  },
  messages: say.messages,
  examples: [
    {
      say: 'volume days at 90% of a 5RM of 100 go 90, 92.5',
      params: {
        startPercent: 90,
        startReps: 5,
        heavyPercent: 111,
        volumeStep: { kg: 2.5, lb: 5 },
        heavyStep: { kg: 1, lb: 2.5 },
        misses: 2,
        resetBy: 10,
      },
      max: { value: 116.6667, unit: 'kg' },
      role: 'volume',
      exposures: ['hit'],
      asked: [90, 92.5],
    },
    {
      say: 'heavy days start at 111% of them and beat the last by 1 kg; two misses take 10% off, on plates',
      params: {
        startLoad: { kg: 90, lb: 200 },
        heavyPercent: 110,
        volumeStep: { kg: 2.5, lb: 5 },
        heavyStep: { kg: 1, lb: 2.5 },
        misses: 2,
        resetBy: 10,
      },
      max: null,
      role: 'heavy',
      exposures: ['hit', 'miss', 'miss'],
      asked: [99, 100, 100, 90],
    },
  ],
})
