import { strictObject } from '../parsing/index.ts'
import { defineChange } from './change.ts'

/** Leaves a slot out. */
export const drop = defineChange<object>({
  kind: 'drop',
  title: 'Left out',
  params: strictObject({}),
  lightens: () => true,
  sentence: () => 'left out',
  onSlot: (_, __, author) => ({ now: null, rung: { id: 'drop.out', data: { author } } }),
  messages: { 'drop.out': '{author}: left out' },
  examples: [{ say: 'the slot is gone', params: {}, slot: { id: 'curl' }, want: 'gone' }],
})
