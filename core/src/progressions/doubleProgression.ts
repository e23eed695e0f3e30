import { choiceField } from '../reading/index.ts'
import { highest, lowest, type Span } from '../units/index.ts'
import { sayFirstLoad, sayStep, startingWith, type FirstLoad } from './firstLoad.ts'
import { defineRule } from './rule.ts'
import {
  addedField,
  resetFields,
  sayReset,
  startSteady,
  stepOrReset,
  type Steady,
  type Steps,
} from './steady.ts'

/** When the load goes up: all sets at the top of the range, or one of them with none below its bottom. */
type Params = FirstLoad & Steps & { advanceWhen: 'allAtTop' | 'oneAtTop' }

/** `ahead` counts exposures that a plan assumes at this load, one rep more each. */
type State = Steady & { ahead?: number }

const topOf: Record<Params['advanceWhen'], (reps: number[], top: number) => boolean> = {
  allAtTop: (reps, top) => reps.every((count) => count >= top),
  oneAtTop: (reps, top) => reps.some((count) => count >= top),
}

/** Reps up inside the range that the slot asks, then the load up by a step and the reps back to the bottom. */
export const doubleProgression = defineRule<Params, State>({
  kind: 'doubleProgression',
  title: 'Reps, then load',
  clock: 'exposure',
  from: 'done',
  roles: ['main'],
  writes: ['load'],
  params: startingWith({
    advanceWhen: choiceField(['allAtTop', 'oneAtTop']).required(),
    step: addedField(),
    ...resetFields,
  }),
  sentence: (p) =>
    `${sayFirstLoad(p)}; add reps inside the range; when ${p.advanceWhen === 'allAtTop' ? 'every set is at its top' : 'one set is at its top and none below its bottom'}, ` +
    `add ${sayStep(p.step)} and return to the bottom; ${sayReset(p)}.`,
  start: (known, p) => startSteady(known, p, {}),
  next({ ahead = 0, ...state }, exposure, p, hand) {
    const { date, verdict, asked, reps, target } = exposure
    if (verdict !== 'hit') return stepOrReset(state, exposure, p, hand)
    if (!date) {
      return ahead >= highest(asked) - lowest(asked)
        ? stepOrReset(state, exposure, p, hand)
        : { ...state, ahead: ahead + 1 }
    }
    if (topOf[p.advanceWhen](reps, highest(asked))) return stepOrReset(state, exposure, p, hand)
    const load = target ?? state.load
    return {
      load,
      misses: 0,
      why: [{ id: 'doubleProgression.reps', data: { load, date, reps: reps.join(', ') } }],
    }
  },
  ask: ({ load, why }) => ({ load, rungs: why }),
  messages: { 'doubleProgression.reps': '{load} stays after {reps} reps on {date}: more reps first' },
  examples: (
    [
      ['oneAtTop', [10, 8, 7, 6], 62.5],
      ['oneAtTop', [9, 8, 7, 6], 60],
      ['allAtTop', [10, 8, 7, 6], 60],
      ['allAtTop', [10, 10, 10, 10], 62.5],
    ] satisfies [Params['advanceWhen'], number[], number][]
  ).map(([advanceWhen, reps, then]) => ({
    say: `6-10 with ${advanceWhen}: ${reps.join(', ')} at 60 is followed by ${then}`,
    params: {
      startLoad: { kg: 60, lb: 135 },
      step: { kg: 2.5, lb: 5 },
      misses: 2,
      resetBy: 10,
      advanceWhen,
    },
    max: null,
    span: { from: 6, to: 10 } satisfies Span,
    exposures: [{ verdict: 'hit', reps }],
    asked: [60, then],
  })),
})
