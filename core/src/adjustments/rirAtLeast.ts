import { declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'rirAtLeast.rir': '{author}: stop with {rir} RIR' })

/** Stop sooner: the same load with at least so many reps left in reserve. */
export const rirAtLeast = defineChange<{ rir: number }>({
  kind: 'rirAtLeast',
  title: 'More in reserve',
  params: strictObject({ rir: wholeField('reps in reserve', 1, 10).required() }),
  lightens: () => true,
  sentence: ({ rir }) => `stop with at least ${rir} RIR`,
  onSets(group, { rir }, author) {
    if (group.rir !== undefined && group.rir >= rir) return null
    return { now: { ...group, rir }, step: say('rirAtLeast.rir', { author, rir }) }
  },
  messages: say.messages,
  examples: [
    {
      say: 'two in reserve become four',
      params: { rir: 4 },
      group: { sets: 3, percent: 80, scale: 100, rir: 2 },
      want: { sets: 3, percent: 80, scale: 100, rir: 4 },
    },
    {
      say: 'five in reserve are enough',
      params: { rir: 4 },
      group: { sets: 3, percent: 80, scale: 100, rir: 5 },
      want: null,
    },
  ],
})
