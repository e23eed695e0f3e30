import { strictObject, wholeField } from '../../parsing/index.ts'
import { defineForecast } from './forecast.ts'

export const misses = defineForecast<{ week: number }>({
  kind: 'misses',
  title: 'Misses in week',
  params: strictObject({ week: wholeField('a week from here', 1, 60).required() }),
  sentence: ({ week }) => `In week ${week} from now the last set of every exercise falls one rep short.`,
  does: (at, { week }) => (at === week ? 'short' : 'asked'),
  examples: [{ say: 'short in the second', params: { week: 2 }, want: ['asked', 'short', 'asked'] }],
})
