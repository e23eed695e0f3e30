import { declareSteps } from '../words/index.ts'
import { numberField, strictObject } from '../parsing/index.ts'
import { snap } from '../units/index.ts'
import { defineChange, signed } from './change.ts'

const say = declareSteps({ 'scaleLoad.by': '{author}: load {by}%' })

/** Loads by so many percent of themselves: 100 kg by −10 is 90 kg, whatever percent of the max it was. */
export const scaleLoad = defineChange<{ by: number }>({
  kind: 'scaleLoad',
  title: 'Load by percent',
  params: strictObject({ by: numberField('percent of the load, -90 to 50', -90, 50).required() }),
  lightens: ({ by }) => by < 0,
  scalesLoads: true,
  fields: {
    by: { label: 'Change the load by', unit: '%', hint: '−10 makes 100 kg 90 kg.' },
  },
  sentence: ({ by }) => `load ${signed(by)}%`,
  onSets(prescribed, { by }, author) {
    if (prescribed.percent === null) return null
    const scale = snap((prescribed.scale * (100 + by)) / 100)
    return { now: { ...prescribed, scale }, step: say('scaleLoad.by', { author, by: signed(by) }) }
  },
  messages: say.messages,
  examples: [
    {
      say: 'minus 10 percent leaves the percent of the max alone',
      params: { by: -10 },
      prescribed: { sets: 3, percent: 80, scale: 100 },
      want: { sets: 3, percent: 80, scale: 90 },
    },
    {
      say: 'a prescription without a load stays as it is',
      params: { by: -10 },
      prescribed: { sets: 3, percent: null, scale: 100 },
      want: null,
    },
  ],
})
