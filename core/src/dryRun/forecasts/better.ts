import { strictObject } from '../../parsing/index.ts'
import { defineForecast } from './forecast.ts'

export const better = defineForecast<object>({
  kind: 'better',
  title: 'Better than planned',
  params: strictObject({}),
  sentence: () => 'Every set has two reps more than the top of its range.',
  does: () => 'more',
  examples: [{ say: 'more', params: {}, want: ['more', 'more'] }],
})
