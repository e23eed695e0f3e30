import { defineAct } from './act.ts'
import { beside } from './beside.ts'

export const right = defineAct({
  name: 'right',
  keys: ['Alt+ArrowRight'],
  label: 'Move the exercises to the session after',
  run: (view) => beside(view, 1, false),
})
