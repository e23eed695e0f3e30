import { declareSteps } from '../words/index.ts'
import { choiceField, numberField, strictObject } from '../parsing/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed, singlesChoices, singlesWords } from './change.ts'

const say = declareSteps({ 'points.by': '{author}: {by} points, {percent}% instead of {from}%' })

/** The step of a load that points leave alone. */
export const sayPoints = declareSteps({
  'points.none': '{author}: points change percentages only; this load is none, and stays',
})

/**
 * Percentages by so many points: 80% by −10 is 70%, which is 12.5 percent less load. A load that is no percentage stays as it is. A
 * track's leaves tests and heavy singles alone unless `singles` says otherwise.
 */
export const points = defineChange<{ by: number; singles?: (typeof singlesChoices)[number] }>({
  kind: 'points',
  title: 'Percentage by points',
  params: strictObject({
    by: numberField('percentage points, -60 to 20', -60, 20).required(),
    singles: choiceField(singlesChoices),
  }),
  lightens: ({ by }) => by < 0,
  scalesLoads: true,
  onPercentages: true,
  fields: {
    by: { label: 'Change the percentage by', unit: 'points', hint: '−10 turns 80% into 70%.' },
    singles: singlesWords,
  },
  sentence: ({ by }) => `${signed(by)} points of percent`,
  onSets(prescribed, { by }, author) {
    if (prescribed.percent === null) return null
    const percent = Math.max(1, snap(prescribed.percent + by))
    const data = { author, by: signed(by), from: prescribed.percent, percent }
    return { now: { ...prescribed, percent }, step: say('points.by', data) }
  },
  messages: { ...say.messages, ...sayPoints.messages },
  examples: [
    {
      say: '80% by −10 points is 70%',
      params: { by: -10 },
      prescribed: { sets: 3, percent: 80, scale: 100 },
      want: { sets: 3, percent: 70, scale: 100 },
    },
    {
      say: 'a percentage never falls below 1',
      params: { by: -60 },
      prescribed: { sets: 3, percent: 40, scale: 100 },
      want: { sets: 3, percent: 1, scale: 100 },
    },
  ],
})
