import { defineAct } from './act.ts'
import { shift } from './shift.ts'

export const sessionLater = defineAct({
  name: 'sessionLater',
  keys: ['Alt+.'],
  label: 'Move the session later in the week',
  run: (view) => shift(view, 1),
})
