import { declareSteps } from '../words/index.ts'
import { numberField, strictObject, wholeField } from '../parsing/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed } from './change.ts'

const say = declareSteps({
  'highReps.set':
    '{author}: one set of {from} to {to} @ {rir} RIR, load {by}%: the formulas are not made for so many reps, so use less if it is not easy',
})

type Params = { from: number; to: number; rir: number; by: number }

/** One set of many easy reps in place of what is written, well short of failure, at less load: outside what formulas are made for. */
export const highReps = defineChange<Params>({
  kind: 'highReps',
  title: 'One easy high-rep set',
  params: strictObject({
    from: wholeField('the fewest reps', 10, 30).required(),
    to: wholeField('the most reps', 10, 30).required(),
    rir: wholeField('RIR', 3, 10).required(),
    by: numberField('percent of the load, -80 to -20', -80, -20).required(),
  }).test('fits', '"to" more than "from"', ({ from, to }) => to > from),
  lightens: () => true,
  scalesLoads: true,
  fields: {
    from: { label: 'Fewest reps', unit: 'reps', hint: 'Of the one set.' },
    to: { label: 'Most reps', unit: 'reps', hint: 'Of the one set.' },
    rir: { label: 'Stop with at least', unit: 'RIR', hint: 'So many more reps possible.' },
    by: { label: 'Change the load by', unit: '%', hint: '−50 halves the load.' },
  },
  sentence: ({ from, to, rir, by }) => `one set of ${from}-${to}, stop with ${rir} RIR, load ${signed(by)}%`,
  onSets(prescribed, { from, to, rir, by }, author) {
    if (!prescribed.reps) return null
    const now = {
      ...prescribed,
      sets: 1,
      reps: { from, to },
      rir: Math.max(rir, prescribed.rir ?? 0),
      scale: snap((prescribed.scale * (100 + by)) / 100),
    }
    return { now, step: say('highReps.set', { author, from, to, rir, by: signed(by) }) }
  },
  messages: say.messages,
  examples: [
    {
      say: '3 × 5 @ 2 RIR become one of 15 to 20 @ 3 RIR, at half the load',
      params: { from: 15, to: 20, rir: 3, by: -50 },
      prescribed: { sets: 3, percent: 80, scale: 100, rir: 2, reps: 5 },
      want: { sets: 1, percent: 80, scale: 50, rir: 3, reps: { from: 15, to: 20 } },
    },
    {
      say: 'a hold in seconds is left alone',
      params: { from: 15, to: 20, rir: 3, by: -50 },
      prescribed: { sets: 3, percent: null, scale: 100 },
      want: null,
    },
  ],
})
