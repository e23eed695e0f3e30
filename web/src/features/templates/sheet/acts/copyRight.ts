import { defineAct } from './act.ts'
import { beside } from './beside.ts'

export const copyRight = defineAct({
  name: 'copyRight',
  keys: ['Alt+Shift+ArrowRight'],
  label: 'Copy the exercises to the session after',
  run: (view) => beside(view, 1, true),
})
