import { defineAct } from './act.ts'
import { shift } from './shift.ts'

export const sessionEarlier = defineAct({
  name: 'sessionEarlier',
  keys: ['Alt+,'],
  shown: 'Alt + comma, Alt + full stop',
  say: 'move the session earlier, later in the week',
  label: 'Move the session earlier in the week',
  run: (view) => shift(view, -1),
})
