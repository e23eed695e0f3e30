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

/** The same sets and reps, heavier by a step after each hit; after so many misses in a row, lowered by a percent. */
export const linear = defineRule<FirstLoad & Steps, Steady>({
  kind: 'linear',
  title: 'Linear',
  clock: 'exposure',
  from: 'asked',
  roles: ['main'],
  writes: ['load'],
  params: startingWith({
    step: addedField(),
    ...resetFields,
  }),
  sentence: (p) => `${sayFirstLoad(p)}; add ${sayStep(p.step)} after each hit; ${sayReset(p)}.`,
  start: (known, p) => startSteady(known, p, {}),
  next: (state, exposure, p, hand) => stepOrReset(state, exposure, p, hand),
  ask: ({ load, why }) => ({ load, rungs: why }),
  messages: {},
  examples: [
    {
      say: '3×5 at 60 with 2.5 goes 62.5, 65',
      params: { startLoad: { kg: 60, lb: 135 }, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
      max: null,
      exposures: ['hit', 'hit'],
      asked: [60, 62.5, 65],
    },
    {
      say: 'three misses in a row at 102.5 go back to 92.5, a hit between them clears the count',
      params: { startPercent: 100, step: { kg: 2.5, lb: 5 }, misses: 3, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      exposures: ['miss', 'miss', 'hit', 'miss', 'miss', 'miss'],
      asked: [100, 100, 100, 102.5, 102.5, 102.5, 92.5],
    },
    {
      say: 'a hold keeps the load and the count',
      params: { startPercent: 80, step: { kg: 5, lb: 10 }, misses: 2, resetBy: 10 },
      max: { value: 100, unit: 'kg' },
      exposures: ['miss', 'hold', 'miss'],
      asked: [80, 80, 80, 72.5],
    },
  ],
})
