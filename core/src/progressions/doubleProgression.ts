import { declareSteps } from '../words/index.ts'
import { choiceField, wholeField } from '../parsing/index.ts'
import { highest, lowest, type Span } from '../units/index.ts'
import { sayFirstLoad, sayRise, startingWith } from './firstLoad.ts'
import { defineRule, type Exposure } from './rule.ts'
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
  'doubleProgression.reps': '{load} stays after {reps} reps on {date}: more reps first',
})

/**
 * When the load goes up: all sets at the top of the range; one of them, with none below its bottom; so many reps in all; or every
 * set inside the range and the last with more RIR than asked.
 */
const signs = ['allAtTop', 'oneAtTop', 'total', 'rir'] as const
type Params = SteadyParams & {
  advanceWhen: (typeof signs)[number]
  /** Total reps sets that earn the step, with `total`; 2 to 200. */
  total?: number
  /** Reps left beyond those asked that earn it, with `rir`; 1 to 5. */
  extraRir?: number
}

/** `ahead` counts exposures that a plan assumes at this load, one rep more each. */
type State = Steady & { ahead?: number }

const isEarned: Record<Params['advanceWhen'], (exposure: Exposure, params: Params) => boolean> = {
  allAtTop: ({ reps, asked }) => reps.every((count) => count >= highest(asked)),
  oneAtTop: ({ reps, asked }) => reps.some((count) => count >= highest(asked)),
  total: ({ reps }, { total = 0 }) => reps.reduce((sum, count) => sum + count, 0) >= total,
  rir: ({ rir: left, askedRir: askedLeft = 0 }, { extraRir = 0 }) =>
    (left?.at(-1) ?? -1) >= askedLeft + extraRir,
}

const saySign = ({ advanceWhen, total = 0, extraRir = 0 }: Params): string =>
  ({
    allAtTop: 'every set is at the top',
    oneAtTop: 'one set is at the top and none below the bottom',
    total: `there are ${total} total reps`,
    rir: `every set is in the range and the last has ${extraRir} RIR more than asked`,
  })[advanceWhen]

/** Reps up inside the range that the slot asks, then the load up by a step and the reps back to the bottom. */
export const doubleProgression = defineRule<Params, State>({
  kind: 'doubleProgression',
  title: 'Double progression',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['load'],
  params: startingWith({
    advanceWhen: choiceField(signs).required(),
    total: wholeField('reps in all sets', 2, 200),
    extraRir: wholeField('RIR beyond what is asked', 1, 5),
    ...steadyFields,
  }).test('fits', '"total" with advanceWhen total, "extraRir" with rir, and only with these', (params) => {
    const { advanceWhen, total, extraRir } = params as unknown as Params
    return (
      (advanceWhen === 'total') === (total !== undefined) &&
      (advanceWhen === 'rir') === (extraRir !== undefined)
    )
  }),
  fields: {
    ...steadyWords('Step'),
    advanceWhen: {
      label: 'Add load when',
      unit: null,
      hint: 'Until then reps rise within the range.',
      choices: {
        allAtTop: 'every set is at the top of the range',
        oneAtTop: 'one set is at the top, none below the bottom',
        total: 'total reps reach a number',
        rir: 'the last set has more RIR than asked',
      },
    },
    total: {
      label: 'Total reps to reach',
      unit: 'reps',
      hint: 'Over all sets.',
      when: { field: 'advanceWhen', is: 'total' },
    },
    extraRir: {
      label: 'Extra RIR in the last set',
      unit: 'RIR',
      hint: 'Beyond the RIR asked.',
      when: { field: 'advanceWhen', is: 'rir' },
    },
  },
  sentence: (p) =>
    `${sayFirstLoad(p)}. Add reps within the range. When ${saySign(p)}: ` +
    `+${sayRise(p.step)} and back to the bottom of the range. ${sayReset(p)}.`,
  start: (known, p) => startSteady(known, p, {}),
  next({ ahead = 0, ...state }, exposure, p, hand) {
    const { date, verdict, asked, reps, target } = exposure
    if (verdict !== 'hit') return stepOrReset(state, exposure, p, hand)
    if (!date) {
      return ahead >= highest(asked) - lowest(asked)
        ? stepOrReset(state, exposure, p, hand)
        : { ...state, ahead: ahead + 1 }
    }
    if (isEarned[p.advanceWhen](exposure, p)) return stepOrReset(state, exposure, p, hand)
    const load = target ?? state.load
    return {
      load,
      misses: 0,
      why: [say('doubleProgression.reps', { load, date, reps: reps.join(', ') })],
    }
  },
  ask: ({ load, why }, _role, { total }) => ({ load, ...(total !== undefined && { total }), steps: why }),
  jumps: ({ step }) => [step],
  messages: say.messages,
  examples: (
    [
      ['oneAtTop', [10, 8, 7, 6], 62.5],
      ['oneAtTop', [9, 8, 7, 6], 60],
      ['allAtTop', [10, 8, 7, 6], 60],
      ['allAtTop', [10, 10, 10, 10], 62.5],
      ['total', [9, 8, 8, 7], 62.5, { total: 32 }],
      ['total', [9, 8, 8, 6], 60, { total: 32 }],
      ['total', [14, 10, 5, 3], 62.5, { total: 32 }],
      ['rir', [8, 8, 8], 62.5, { extraRir: 1 }, { askedRir: 2, rir: [4, 3, 3] }],
      ['rir', [8, 8, 8], 60, { extraRir: 1 }, { askedRir: 2, rir: [3, 2, null] }],
    ] satisfies [Params['advanceWhen'], number[], number, Partial<Params>?, Partial<Exposure>?][]
  ).map(([advanceWhen, reps, then, more, seen]) => ({
    say: `6-10 with ${advanceWhen}: ${reps.join(', ')}${seen ? ` @ ${seen.rir?.map((rir) => rir ?? '?').join(', ')} RIR` : ''} at 60 is followed by ${then}`,
    params: {
      ...more,
      startLoad: { kg: 60, lb: 135 },
      step: { kg: 2.5, lb: 5 },
      misses: 2,
      resetBy: 10,
      advanceWhen,
    },
    max: null,
    span: { from: 6, to: 10 } satisfies Span,
    exposures: [{ verdict: 'hit', reps, ...seen }],
    asked: [60, then],
  })),
})
