import { declareSteps, type WhyStep } from '../words/index.ts'
import type { Load } from '../units/index.ts'

/** The steps below today's top set. */
export const sayTopSet = declareSteps({
  'topSet.later': 'worked out from today’s top set, once it is lifted',
  'topSet.asked': 'today’s top set is {load}, if it is lifted as asked',
  'topSet.done': 'today’s top set was {load}',
  'topSet.percent': '{percent}% of the top set',
  'topSet.drop': 'less {drop}',
  'topSet.changed': 'after today’s changes {percent}% of that load: {load}',
  'topSet.most': 'no more than today’s cap: {load}',
})

/** How far below the top set a load is: by a percent, or by a fixed drop. */
export const topSetStep = (percent: number, drop: Load | undefined): WhyStep =>
  drop ? sayTopSet('topSet.drop', { drop }) : sayTopSet('topSet.percent', { percent })
