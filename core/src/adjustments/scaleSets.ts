import { declareSteps } from '../words/index.ts'
import { choiceField, numberField, strictObject } from '../parsing/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed } from './change.ts'

const say = declareSteps({ 'scaleSets.by': '{author}: {sets} sets instead of {from}' })

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
  fields: {
    by: { label: 'Change the sets by', unit: '%', hint: '−40 makes 5 sets 3; at least one stays.' },
    round: {
      label: 'Round',
      unit: null,
      hint: 'How a fraction of a set is rounded.',
      choices: { up: 'up', down: 'down', nearest: 'to the nearest' },
    },
  },
  sentence: ({ by }) => `sets ${signed(by)}%`,
  onSets(prescribed, { by, round }, author) {
    const sets = Math.max(1, toWhole[round](snap((prescribed.sets * (100 + by)) / 100)))
    if (sets === prescribed.sets) return null
    const data = { author, from: prescribed.sets, sets }
    return { now: { ...prescribed, sets }, step: say('scaleSets.by', data) }
  },
  messages: say.messages,
  examples: [
    {
      say: 'five sets by −40% are three',
      params: { by: -40, round: 'up' },
      prescribed: { sets: 5, percent: 80, scale: 100 },
      want: { sets: 3, percent: 80, scale: 100 },
    },
    {
      say: 'one set always stays',
      params: { by: -80, round: 'down' },
      prescribed: { sets: 2, percent: null, scale: 100 },
      want: { sets: 1, percent: null, scale: 100 },
    },
    {
      say: 'a single set is left alone',
      params: { by: -50, round: 'up' },
      prescribed: { sets: 1, percent: 80, scale: 100 },
      want: null,
    },
  ],
})
