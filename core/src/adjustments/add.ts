import { declareSteps } from '../words/index.ts'
import { idField, strictObject } from '../parsing/index.ts'
import { defineChange } from './change.ts'

const say = declareSteps({ 'add.slot': '{author}: added' })

/** One of the template's slots that stand in no session, after a slot that does. */
export const add = defineChange<{ slot: string; after: string }>({
  kind: 'add',
  title: 'One more slot',
  params: strictObject({
    slot: idField('a slot that is in no session').required(),
    after: idField('the slot that it comes after').required(),
  }),
  lightens: () => false,
  names: ({ slot, after }) => [slot, after],
  fields: {
    slot: { label: 'Exercise', unit: null, hint: 'A slot that is in no session.' },
    after: { label: 'After', unit: null, hint: 'The slot that it comes after.' },
  },
  sentence: () => 'added',
  onSession(lines, { slot, after }, author) {
    const at = lines.findIndex(({ id }) => id === after)
    if (at < 0 || lines.some(({ id }) => id === slot)) return null
    const now = [...lines.slice(0, at + 1), { id: slot }, ...lines.slice(at + 1)]
    return { now, step: say('add.slot', { author }) }
  },
  messages: say.messages,
  examples: [
    {
      say: 'rows after the squat',
      params: { slot: 'row', after: 'squat' },
      session: [{ id: 'squat' }, { id: 'bench' }],
      want: [{ id: 'squat' }, { id: 'row' }, { id: 'bench' }],
    },
    {
      say: 'a session without the squat stays as it is',
      params: { slot: 'row', after: 'squat' },
      session: [{ id: 'bench' }],
      want: null,
    },
  ],
})
