import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const lessLoad = defineDeload<{ percent: number }>({
  kind: 'lessLoad',
  title: 'Keep sets, cut load',
  params: strictObject({ percent: wholeField('percent off the load', 5, 40).required() }),
  sentence: ({ percent }) => `Load −${percent}%; sets and reps as they are.`,
  saidFor: 'Joints get a rest from heavy bars, and the habit of the session stays.',
  saidAgainst: 'It can feel so light that technique falls apart: keep the load and cut sets instead.',
  weeks: ({ percent }) => [{ do: [{ kind: 'scaleLoad', by: -percent }] }],
  examples: [
    { say: 'fifteen percent off 80 kg', params: { percent: 15 }, want: { sets: 4, load: 67.5, left: 2 } },
  ],
})
