import { declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'rirAtLeast.reps': '{author}: stop with {reps} reps left' })

/** Stop sooner: the same load with at least so many reps left in reserve. */
export const rirAtLeast = defineChange<{ reps: number }>({
  kind: 'rirAtLeast',
  title: 'More in reserve',
  params: strictObject({ reps: wholeField('reps left in reserve', 1, 10).required() }),
  lightens: () => true,
  sentence: ({ reps }) => `stop with at least ${reps} left`,
  onGroup(group, { reps }, author) {
    if (group.rir !== undefined && group.rir >= reps) return null
    return { now: { ...group, rir: reps }, rung: say('rirAtLeast.reps', { author, reps }) }
  },
  messages: say.messages,
  examples: [
    {
      say: 'two in reserve become four',
      params: { reps: 4 },
      group: { sets: 3, percent: 80, scale: 100, rir: 2 },
      want: { sets: 3, percent: 80, scale: 100, rir: 4 },
    },
    {
      say: 'five in reserve are enough',
      params: { reps: 4 },
      group: { sets: 3, percent: 80, scale: 100, rir: 5 },
      want: null,
    },
  ],
})
