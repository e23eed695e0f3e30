import { strictObject, wholeField } from '../../parsing/index.ts'
import { defineForecast } from './forecast.ts'

export const away = defineForecast<{ week: number }>({
  kind: 'away',
  title: 'Away in week',
  params: strictObject({ week: wholeField('a week from here', 1, 60).required() }),
  sentence: ({ week }) => `In week ${week} from now nothing is trained.`,
  does: (at, { week }) => (at === week ? 'nothing' : 'asked'),
  examples: [{ say: 'away in the second', params: { week: 2 }, want: ['asked', 'nothing', 'asked'] }],
})
