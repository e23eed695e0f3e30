import { declareSteps } from '../words/index.ts'
import { strictObject, wholeField } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'rirAtLeast.rir': '{author}: stop with {rir} RIR' })

/** Stop sooner: the same load with at least so many RIR. */
export const rirAtLeast = defineChange<{ rir: number }>({
  kind: 'rirAtLeast',
  title: 'More RIR',
  params: strictObject({ rir: wholeField('RIR', 1, 10).required() }),
  lightens: () => true,
  fields: {
    rir: { label: 'Stop with at least', unit: 'RIR', hint: 'Sets with more RIR stay as written.' },
  },
  sentence: ({ rir }) => `stop with at least ${rir} RIR`,
  onSets(prescribed, { rir }, author) {
    if (prescribed.rir !== undefined && prescribed.rir >= rir) return null
    return { now: { ...prescribed, rir }, step: say('rirAtLeast.rir', { author, rir }) }
  },
  messages: say.messages,
  examples: [
    {
      say: '2 RIR become 4',
      params: { rir: 4 },
      prescribed: { sets: 3, percent: 80, scale: 100, rir: 2 },
      want: { sets: 3, percent: 80, scale: 100, rir: 4 },
    },
    {
      say: '5 RIR are enough',
      params: { rir: 4 },
      prescribed: { sets: 3, percent: 80, scale: 100, rir: 5 },
      want: null,
    },
  ],
})
