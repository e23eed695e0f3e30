import { strictObject } from '../parsing/index.ts'
import { defineSource } from './source.ts'

/** The member chooses the load; last time's numbers stand beside it. */
export const free = defineSource<object>({
  of: 'free',
  title: 'Member’s choice',
  computes: false,
  params: strictObject({}),
  cell: () => 'free',
  read: (typed) => (typed === 'free' ? {} : null),
  price: () => null,
  messages: {},
  examples: [{ say: 'gives no load', params: {}, known: {}, want: null }],
})
