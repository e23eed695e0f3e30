import { declareSteps } from '../words/index.ts'
import { percentField, strictObject } from '../parsing/index.ts'
import { formatNumber } from '../units/index.ts'
import { defineSource, isNeed, percentBefore, type Priced } from './source.ts'

const say = declareSteps({ 'progression.percent': '{percent}% of the progression’s load' })

/** The steps of a load that is read off another slot of the same progression. */
export const sayMain = declareSteps({
  'progression.main': 'this week’s main sets of the progression, on {date}: {load}',
  'progression.mainAhead': 'this week’s main sets of the progression, if they are trained as asked: {load}',
})

/** The load that the slot's progression asks for today, or a percent of it. */
export const progression = defineSource<{ percent?: number }>({
  of: 'progression',
  title: 'By its progression',
  computes: true,
  params: strictObject({ percent: percentField() }),
  cell: ({ percent }) =>
    percent === undefined || percent === 100 ? 'progression' : `${formatNumber(percent)}% progression`,
  read(typed) {
    if (/^(by )?(rule|progression)$/.test(typed)) return {}
    const percent = percentBefore(typed, /^(of )?(rule|progression)$/)
    return percent === null ? null : { percent }
  },
  price({ progression: asked }, { percent = 100 }) {
    // In a role by place that moves nothing the progression gives no load.
    if (!asked) return null
    if (isNeed(asked)) return asked
    const priced: Priced = {
      base: asked.base,
      percent: (asked.percent * percent) / 100,
      isRunning: true,
      steps: percent === 100 ? asked.steps : [...asked.steps, say('progression.percent', { percent })],
    }
    if (asked.felt) priced.felt = asked.felt
    if (asked.reached) priced.reached = asked.reached
    return priced
  },
  messages: { ...say.messages, ...sayMain.messages },
  examples: [
    {
      say: '80% of a progression that asks 60 kg is 48 kg',
      params: { percent: 80 },
      known: { progression: { base: { value: 60, unit: 'kg' }, percent: 100, steps: [] } },
      want: { value: 48, unit: 'kg' },
    },
  ],
})
