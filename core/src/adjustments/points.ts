import { numberField, strictObject } from '../reading/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed } from './change.ts'

/** Percentages by so many points: 80% by −10 is 70%, which is 12.5 percent less load. */
export const points = defineChange<{ by: number }>({
  kind: 'points',
  title: 'Percentage by points',
  params: strictObject({ by: numberField('percentage points, -60 to 20', -60, 20).required() }),
  lightens: ({ by }) => by < 0,
  sentence: ({ by }) => `${signed(by)} points of percent`,
  apply(draft, { by }) {
    if (draft.percent === null) return draft
    const percent = Math.max(1, snap(draft.percent + by))
    const rung = { id: 'points.by', data: { by: signed(by), from: draft.percent, percent } }
    return { ...draft, percent, rungs: [...draft.rungs, rung] }
  },
  messages: { 'points.by': 'light: {by} points, {percent}% instead of {from}%' },
  examples: [
    {
      say: '80% by −10 points is 70%',
      params: { by: -10 },
      from: { sets: 3, percent: 80, scale: 100 },
      want: { sets: 3, percent: 70, scale: 100 },
    },
    {
      say: 'a percent never falls below 1',
      params: { by: -60 },
      from: { sets: 3, percent: 40, scale: 100 },
      want: { sets: 3, percent: 1, scale: 100 },
    },
  ],
})
