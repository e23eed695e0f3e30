import { strictObject } from '../../parsing/index.ts'
import { defineForecast } from './forecast.ts'

export const toPlan = defineForecast<object>({
  kind: 'toPlan',
  title: 'All goes to plan',
  params: strictObject({}),
  sentence: () => 'Every set is done as asked.',
  does: () => 'asked',
  examples: [{ say: 'as asked', params: {}, want: ['asked', 'asked'] }],
})
