import { numberField, strictObject } from '../reading/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed } from './change.ts'

/** Loads by so many percent of themselves: 100 kg by −10 is 90 kg, whatever percent of the max it was. */
export const scaleLoad = defineChange<{ by: number }>({
  kind: 'scaleLoad',
  title: 'Load by percent',
  params: strictObject({ by: numberField('percent of the load, -90 to 50', -90, 50).required() }),
  lightens: ({ by }) => by < 0,
  sentence: ({ by }) => `load ${signed(by)}%`,
  apply(draft, { by }) {
    if (draft.percent === null) return draft
    const scale = snap((draft.scale * (100 + by)) / 100)
    return { ...draft, scale, rungs: [...draft.rungs, { id: 'scaleLoad.by', data: { by: signed(by) } }] }
  },
  messages: { 'scaleLoad.by': 'light: load {by}%' },
  examples: [
    {
      say: 'minus 10 percent leaves the percent of the max alone',
      params: { by: -10 },
      from: { sets: 3, percent: 80, scale: 100 },
      want: { sets: 3, percent: 80, scale: 90 },
    },
    {
      say: 'a group without a load stays as it is',
      params: { by: -10 },
      from: { sets: 3, percent: null, scale: 100 },
      want: { sets: 3, percent: null, scale: 100 },
    },
  ],
})
