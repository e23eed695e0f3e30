import { declareSteps } from '../words/index.ts'
import { strictObject } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'drop.out': '{author}: left out' })

/** Leaves a slot out. */
export const drop = defineChange<object>({
  kind: 'drop',
  title: 'Left out',
  params: strictObject({}),
  lightens: () => true,
  fields: {},
  sentence: () => 'left out',
  onSlot: (_, __, author) => ({ now: null, step: say('drop.out', { author }) }),
  messages: say.messages,
  examples: [{ say: 'the slot is gone', params: {}, slot: { id: 'curl' }, want: 'gone' }],
})
