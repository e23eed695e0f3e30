import { strictObject, wholeField } from '../reading/index.ts'
import { defineAssumption } from './assumption.ts'

export const away = defineAssumption<{ week: number }>({
  kind: 'away',
  title: 'Away in week',
  params: strictObject({ week: wholeField('a week from here', 1, 60).required() }),
  sentence: ({ week }) => `In week ${week} from here nothing is trained.`,
  does: (at, { week }) => (at === week ? 'nothing' : 'asked'),
  examples: [{ say: 'away in the second', params: { week: 2 }, want: ['asked', 'nothing', 'asked'] }],
})
