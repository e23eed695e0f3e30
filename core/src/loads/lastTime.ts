import { declareSteps } from '../words/index.ts'
import { percentField, stepField, strictObject } from '../parsing/index.ts'
import { formatNumber, type Step } from '../units/index.ts'
import { defineSource, percentBefore, type Priced } from './source.ts'

const say = declareSteps({
  'lastTime.here': 'last time, on {date}: {load}',
  'lastTime.elsewhere': 'last time, elsewhere in the program, on {date}: {load}',
  'lastTime.ahead': 'last time, if it is trained as asked: {load}',
  'lastTime.percent': '{percent}% of that load',
  'lastTime.more': 'and {step} more',
  'lastTime.less': 'less {step}',
})

type Params = { percent?: number; more?: Step; less?: Step }

/**
 * The load of these sets when the slot was last trained, a percent of it, or so much more or less. Last time means at the same
 * place of the session; the lift's last load elsewhere is taken where there is none, and marked. The first time the member chooses.
 */
export const lastTime = defineSource<Params>({
  of: 'lastTime',
  title: 'Last time’s load',
  computes: true,
  params: strictObject({ percent: percentField(), more: stepField(50), less: stepField(50) }).test(
    'fits',
    'only one of "percent", "more" and "less"',
    (p) => [p.percent, p.more, p.less].filter((one) => one !== undefined).length < 2,
  ),
  cell({ percent = 100, more, less }) {
    if (more) return `last +${sayBoth(more)}`
    if (less) return `last −${sayBoth(less)}`
    return percent === 100 ? 'last time' : `${formatNumber(percent)}% last`
  },
  read(typed) {
    if (typed === 'last' || typed === 'last time') return {}
    const [, sign, kg, lb] =
      /^last(?: time)?\s*([-−+])\s*(\d+(?:[.,]\d+)?)\s*kg\s*\/\s*(\d+(?:[.,]\d+)?)\s*lb$/.exec(typed) ?? []
    if (kg !== undefined && lb !== undefined)
      return { [sign === '+' ? 'more' : 'less']: { kg: numberOf(kg), lb: numberOf(lb) } }
    const percent = percentBefore(typed, /^last( time)?$/)
    return percent === null ? null : { percent }
  },
  price({ last }, { percent = 100, more, less }) {
    const seen = last?.()
    if (!seen) return null
    const { load, date, isSamePlace } = seen
    const first = date
      ? say(isSamePlace ? 'lastTime.here' : 'lastTime.elsewhere', { load, date })
      : say('lastTime.ahead', { load })
    const priced: Priced = {
      base: load,
      percent,
      isRunning: true,
      reached: date ? 'earned' : 'supposed',
      steps: [first],
    }
    const inUnitOf = (step: Step) => ({ value: step[load.unit], unit: load.unit })
    if (more) priced.plus = inUnitOf(more)
    if (less) priced.minus = inUnitOf(less)
    if (priced.plus) priced.steps.push(say('lastTime.more', { step: priced.plus }))
    if (priced.minus) priced.steps.push(say('lastTime.less', { step: priced.minus }))
    if (percent !== 100) priced.steps.push(say('lastTime.percent', { percent }))
    return priced
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
    {
      say: '2.5 kg more than last time’s 60',
      params: { more: { kg: 2.5, lb: 5 } },
      known: { last: () => ({ load: { value: 60, unit: 'kg' }, date: '2026-03-02', isSamePlace: true }) },
      want: { value: 62.5, unit: 'kg' },
    },
    {
      say: '10 lb less than what a session still to come is to be at',
      params: { less: { kg: 5, lb: 10 } },
      known: { last: () => ({ load: { value: 135, unit: 'lb' }, date: null, isSamePlace: true }) },
      want: { value: 125, unit: 'lb' },
    },
    { say: 'the first time there is none', params: {}, known: { last: () => null }, want: null },
  ],
})

const sayBoth = ({ kg, lb }: Step): string => `${formatNumber(kg)}kg/${formatNumber(lb)}lb`
const numberOf = (typed: string): number => Number(typed.replace(',', '.'))
