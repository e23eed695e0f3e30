import { defineAct } from './act.ts'
import { nudge } from './nudge.ts'

export const up = defineAct({
  name: 'up',
  keys: ['Alt+ArrowUp'],
  shown: 'Alt + Up, Alt + Down',
  say: 'move the exercise up, down in its session',
  label: 'Move the exercise up',
  inMenu: 'Move the exercise up',
  run: (view) => nudge(view, -1),
})
