import { defineAct } from './act.ts'
import { beside } from './beside.ts'

export const left = defineAct({
  name: 'left',
  keys: ['Alt+ArrowLeft'],
  shown: 'Alt + Left, Alt + Right',
  say: 'move the exercises to the session before, after',
  label: 'Move the exercises to the session before',
  run: (view) => beside(view, -1, false),
})
