import { strictObject } from '../reading/index.ts'
import { defineAssumption } from './assumption.ts'

export const toPlan = defineAssumption<object>({
  kind: 'toPlan',
  title: 'All goes to plan',
  params: strictObject({}),
  sentence: () => 'Every set is done as asked.',
  does: () => 'asked',
  examples: [{ say: 'as asked', params: {}, want: ['asked', 'asked'] }],
})
