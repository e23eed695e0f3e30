import { choiceField, numberField, strictObject } from '../reading/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed } from './change.ts'

const toWhole = { up: Math.ceil, down: Math.floor, nearest: Math.round }

/** Sets by so many percent, at least one left; halves go the stated way. */
export const scaleSets = defineChange<{ by: number; round: 'up' | 'down' | 'nearest' }>({
  kind: 'scaleSets',
  title: 'Sets by percent',
  params: strictObject({
    by: numberField('percent of the sets, -90 to 100', -90, 100).required(),
    round: choiceField(['up', 'down', 'nearest']).required(),
  }),
  lightens: ({ by }) => by < 0,
  sentence: ({ by }) => `sets ${signed(by)}%`,
  apply(draft, { by, round }) {
    const sets = Math.max(1, toWhole[round](snap((draft.sets * (100 + by)) / 100)))
    if (sets === draft.sets) return draft
    return {
      ...draft,
      sets,
      rungs: [...draft.rungs, { id: 'scaleSets.by', data: { from: draft.sets, sets } }],
    }
  },
  messages: { 'scaleSets.by': 'light: {sets} sets instead of {from}' },
  examples: [
    {
      say: 'five sets by −40% are three',
      params: { by: -40, round: 'up' },
      from: { sets: 5, percent: 80, scale: 100 },
      want: { sets: 3, percent: 80, scale: 100 },
    },
    {
      say: 'one set always stays',
      params: { by: -80, round: 'down' },
      from: { sets: 2, percent: null, scale: 100 },
      want: { sets: 1, percent: null, scale: 100 },
    },
  ],
})
