import { strictObject } from '../parsing/index.ts'
import { defineSource } from './source.ts'

/** Nothing is loaded: reps alone. */
export const none = defineSource<object>({
  of: 'none',
  title: 'No load',
  computes: false,
  params: strictObject({}),
  cell: () => 'no load',
  read: (typed) => (typed === 'none' || typed === 'no load' ? {} : null),
  price: () => null,
  messages: {},
  examples: [{ say: 'gives no load', params: {}, known: {}, want: null }],
})
