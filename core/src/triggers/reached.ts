import { stepField, strictObject } from '../parsing/index.ts'
import { formatLoad, type Step } from '../units/index.ts'
import { defineTrigger, freshRun } from './trigger.ts'

/** A stated load was a hit, or a heavier one. */
export const reached = defineTrigger<{ load: Step }>({
  kind: 'reached',
  title: 'A load is reached',
  params: strictObject({ load: stepField().required() }),
  fields: {
    'load.kg': { label: 'Load', unit: 'kg', hint: 'For members who train in kg.' },
    'load.lb': { label: 'Load', unit: 'lb', hint: 'For members who train in lb.' },
  },
  sentence: ({ load }) =>
    `when ${formatLoad({ value: load.kg, unit: 'kg' })} (${formatLoad({ value: load.lb, unit: 'lb' })}) is a hit`,
  fires: ({ heaviest }, { load }) => heaviest !== null && heaviest.value >= load[heaviest.unit],
  examples: [
    {
      say: '100 kg was a hit',
      params: { load: { kg: 100, lb: 220 } },
      run: { ...freshRun, exposures: 9, recent: [{ verdict: 'hit' }], heaviest: { value: 100, unit: 'kg' } },
      want: true,
    },
    {
      say: '215 lb is less than the 220 lb that are written for pounds',
      params: { load: { kg: 100, lb: 220 } },
      run: { ...freshRun, exposures: 9, recent: [{ verdict: 'hit' }], heaviest: { value: 215, unit: 'lb' } },
      want: false,
    },
  ],
})
