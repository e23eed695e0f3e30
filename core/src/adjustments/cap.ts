import { declareSteps } from '../words/index.ts'
import { stepField, strictObject } from '../parsing/index.ts'
import { formatLoad, type Step } from '../units/index.ts'
import { defineChange } from './change.ts'

/** The step of a cap, where it bites. */
export const sayCap = declareSteps({ 'cap.at': '{author}: no more than {load}' })

/** Never more than a load, stated in both units. */
export const cap = defineChange<{ at: Step }>({
  kind: 'cap',
  title: 'Load at most',
  params: strictObject({ at: stepField().required() }),
  lightens: () => true,
  fields: {
    'at.kg': { label: 'Most', unit: 'kg', hint: 'For members who train in kg.' },
    'at.lb': { label: 'Most', unit: 'lb', hint: 'For members who train in lb.' },
  },
  sentence: ({ at }) =>
    `at most ${formatLoad({ value: at.kg, unit: 'kg' })} (${formatLoad({ value: at.lb, unit: 'lb' })})`,
  /** The lowest of several caps stands; it says itself where it bites, once the load is known. */
  onSets(prescribed, { at }, author) {
    if (prescribed.percent === null || (prescribed.cap && prescribed.cap.at.kg <= at.kg)) return null
    return { now: { ...prescribed, cap: { at, author } } }
  },
  messages: sayCap.messages,
  examples: [
    {
      say: 'a cap goes with the prescription until its load is known',
      params: { at: { kg: 80, lb: 175 } },
      prescribed: { sets: 3, percent: 80, scale: 100 },
      want: { sets: 3, percent: 80, scale: 100, cap: { at: { kg: 80, lb: 175 }, author: 'test' } },
    },
  ],
})
