import { declareSteps } from '../words/index.ts'
import { percentField, strictObject } from '../parsing/index.ts'
import { formatNumber } from '../units/index.ts'
import { defineSource, percentBefore } from './source.ts'

const say = declareSteps({
  'lastTime.here': 'last time, on {date}: {load}',
  'lastTime.elsewhere': 'last time, elsewhere in the program, on {date}: {load}',
  'lastTime.percent': '{percent}% of that load',
})

/**
 * The load of these sets when the slot was last trained, or a percent of it. Last time means at the same place of the session;
 * the lift's last load elsewhere is taken where there is none, and marked. The first time the member chooses.
 */
export const lastTime = defineSource<{ percent?: number }>({
  of: 'lastTime',
  title: 'Last time’s load',
  computes: true,
  params: strictObject({ percent: percentField() }),
  cell: ({ percent = 100 }) => (percent === 100 ? 'last time' : `${formatNumber(percent)}% last`),
  read(typed) {
    if (typed === 'last' || typed === 'last time') return {}
    const percent = percentBefore(typed, /^last( time)?$/)
    return percent === null ? null : { percent }
  },
  price({ last }, { percent = 100 }) {
    const seen = last?.()
    if (!seen) return null
    const { load, date, isSamePlace } = seen
    const own = percent === 100 ? [] : [say('lastTime.percent', { percent })]
    const id = isSamePlace ? 'lastTime.here' : 'lastTime.elsewhere'
    return {
      base: load,
      percent,
      isRunning: true,
      reached: 'earned',
      steps: [{ id, data: { load, date } }, ...own],
    }
  },
  messages: say.messages,
  examples: [
    {
      say: 'last time’s 60 kg',
      params: {},
      known: { last: () => ({ load: { value: 60, unit: 'kg' }, date: '2026-03-02', isSamePlace: true }) },
      want: { value: 60, unit: 'kg' },
    },
    {
      say: '90% of what was lifted elsewhere',
      params: { percent: 90 },
      known: { last: () => ({ load: { value: 60, unit: 'kg' }, date: '2026-03-02', isSamePlace: false }) },
      want: { value: 54, unit: 'kg' },
    },
    { say: 'the first time there is none', params: {}, known: { last: () => null }, want: null },
  ],
})
