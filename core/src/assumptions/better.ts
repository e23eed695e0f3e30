import { strictObject } from '../reading/index.ts'
import { defineAssumption } from './assumption.ts'

export const better = defineAssumption<object>({
  kind: 'better',
  title: 'Better than planned',
  params: strictObject({}),
  sentence: () => 'Every set has two reps more than the most that are asked.',
  does: () => 'more',
  examples: [{ say: 'more', params: {}, want: ['more', 'more'] }],
})
