import { strictObject } from '../parsing/index.ts'
import { defineDeload } from './deload.ts'

// One controlled study of nine weeks with young people found that a week fully off in the middle cost no leg size and a little
// leg strength (Coleman and others, PeerJ 2024; from memory).
export const weekOff = defineDeload<object>({
  kind: 'weekOff',
  title: 'No training',
  params: strictObject({}),
  fields: {},
  sentence: () => 'No training at all.',
  saidFor: 'For illness, holidays and busy times. In one nine-week study a week off cost no leg size.',
  saidAgainst: 'In the same study a week off cost a little leg strength; and the habit is easily lost.',
  weeks: () => [{ do: [{ kind: 'drop' }] }],
  examples: [{ say: 'nothing is left of it', params: {}, want: 'nothing' }],
})
