import { listField, numberField, strictObject, wholeField } from '../parsing/index.ts'
import { formatNumber } from '../units/index.ts'
import { defineWarmUp, type WarmUpStep } from './warmUp.ts'

type Listed = { bar?: number; sets: WarmUpStep[] }

/** The empty bar, if so many reps are stated for it, then a ladder of percents of the first work set. */
export const listed = defineWarmUp<Listed>({
  kind: 'listed',
  title: 'Warm-up sets by percent',
  params: strictObject({
    bar: wholeField('reps with the empty bar', 1, 30),
    sets: listField('warm-up sets, lightest first', 8)
      .of(
        strictObject({
          percent: numberField('percent of the first work set, 10 to 95', 10, 95).required(),
          reps: wholeField('reps', 1, 30).required(),
        }),
      )
      .required()
      .test('fits', 'warm-up sets, each at more percent than the one before', (steps) =>
        ((steps ?? []) as WarmUpStep[]).every(
          ({ percent }, i, all) => i === 0 || percent > (all[i - 1] as WarmUpStep).percent,
        ),
      ),
  }),
  sentence: ({ bar, sets: steps }) =>
    `${bar === undefined ? '' : `The empty bar × ${bar}, then `}${steps.map(({ percent, reps }) => `${formatNumber(percent)}% × ${reps}`).join(', ')} of the first work set.`,
  steps: ({ bar, sets: steps }) => [...(bar === undefined ? [] : [{ percent: 0, reps: bar }]), ...steps],
  examples: [
    {
      say: 'the bar, 40, 60 and 80% of 120 kg',
      params: {
        bar: 10,
        sets: [
          { percent: 40, reps: 5 },
          { percent: 60, reps: 3 },
          { percent: 80, reps: 2 },
        ],
      },
      work: 120,
      want: [
        [20, 10],
        [47.5, 5],
        [72.5, 3],
        [95, 2],
      ],
    },
    {
      say: 'sets no heavier than the one before, and one that comes to the work set, are left out',
      params: {
        bar: 10,
        sets: [
          { percent: 40, reps: 5 },
          { percent: 80, reps: 3 },
          { percent: 95, reps: 1 },
        ],
      },
      work: 25,
      want: [[20, 10]],
    },
  ],
})
