import { defineAct } from './act.ts'
import { beside } from './beside.ts'

export const copyLeft = defineAct({
  name: 'copyLeft',
  keys: ['Alt+Shift+ArrowLeft'],
  shown: 'Alt + Shift + Left, Right',
  say: 'copy the exercises to the session before, after',
  label: 'Copy the exercises to the session before',
  run: (view) => beside(view, -1, true),
})
