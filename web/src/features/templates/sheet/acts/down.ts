import { defineAct } from './act.ts'
import { nudge } from './nudge.ts'

export const down = defineAct({
  name: 'down',
  keys: ['Alt+ArrowDown'],
  label: 'Move the exercise down',
  inMenu: 'Move the exercise down',
  run: (view) => nudge(view, 1),
})
