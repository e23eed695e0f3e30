import { wholeField, strictObject } from '../parsing/index.ts'
import { defineWarmUp, type WarmUpStep } from './warmUp.ts'

/** Two or three lighter sets with falling reps (common practice, no source). */
export const fewSets = defineWarmUp<{ sets: number }>({
  kind: 'fewSets',
  title: 'A few lighter sets',
  params: strictObject({ sets: wholeField('lighter sets', 2, 3).required() }),
  sentence: ({ sets }) => `${sets === 2 ? 'Two' : 'Three'} lighter sets before the first work set.`,
  steps: ({ sets }) => (sets === 2 ? two : three),
  examples: [
    {
      say: 'two before 100 kg',
      params: { sets: 2 },
      work: 100,
      want: [
        [50, 8],
        [75, 4],
      ],
    },
    {
      say: 'three before 60 kg',
      params: { sets: 3 },
      work: 60,
      want: [
        [25, 8],
        [35, 5],
        [47.5, 3],
      ],
    },
    { say: 'before 22.5 kg the empty bar alone', params: { sets: 3 }, work: 22.5, want: [[20, 8]] },
  ],
})

const two: WarmUpStep[] = [
  { percent: 50, reps: 8 },
  { percent: 75, reps: 4 },
]
const three: WarmUpStep[] = [
  { percent: 40, reps: 8 },
  { percent: 60, reps: 5 },
  { percent: 80, reps: 3 },
]
