import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const lessLoad = defineDeload<{ percent: number }>({
  kind: 'lessLoad',
  title: 'Keep sets, cut load',
  params: strictObject({ percent: wholeField('percent off the load', 5, 40).required() }),
  fields: {
    percent: { label: 'Less load', unit: '%', hint: 'Off every load.' },
  },
  sentence: ({ percent }) => `Load −${percent}%; sets and reps as they are.`,
  saidFor: 'Joints get a rest from heavy bars, and the sessions keep their shape.',
  saidAgainst: 'It can feel so light that technique slips: then keep the load and cut sets.',
  weeks: ({ percent }) => [{ do: [{ kind: 'scaleLoad', by: -percent }] }],
  examples: [
    { say: 'fifteen percent off 80 kg', params: { percent: 15 }, want: { sets: 4, load: 67.5, rir: 2 } },
  ],
})
