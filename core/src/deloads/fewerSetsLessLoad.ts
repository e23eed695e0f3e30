import { strictObject, wholeField } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

export const fewerSetsLessLoad = defineDeload<{ sets: number; load: number }>({
  kind: 'fewerSetsLessLoad',
  title: 'Fewer sets and less load',
  params: strictObject({
    sets: wholeField('percent off the sets', 25, 60).required(),
    load: wholeField('percent off the load', 5, 30).required(),
  }),
  fields: {
    sets: { label: 'Fewer sets', unit: '%', hint: 'At least one set stays.' },
    load: { label: 'Less load', unit: '%', hint: 'Off every load.' },
  },
  sentence: ({ sets, load }) => `Sets −${sets}%, at least one left, and load −${load}%.`,
  saidFor: 'For lifters who are worn out, or aged forty and over.',
  saidAgainst: 'More than most need after a phase of moderate work.',
  weeks: ({ sets, load }) => [
    {
      do: [
        { kind: 'scaleSets', by: -sets, round: 'down' },
        { kind: 'scaleLoad', by: -load },
      ],
    },
  ],
  examples: [
    {
      say: 'half the sets at a tenth less',
      params: { sets: 50, load: 10 },
      want: { sets: 2, load: 70, rir: 2 },
    },
  ],
})
