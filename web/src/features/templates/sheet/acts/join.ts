import { joinSlots } from '@young-oak/core/editing'
import { defineAct, slotsHere } from './act.ts'

export const join = defineAct({
  name: 'join',
  keys: ['Alt+j'],
  shown: 'Alt + J',
  say: 'join the selected lines to a superset or giant set',
  label: 'Join the selected lines to a superset',
  run: (view) => ({ put: joinSlots(view.library, view.draft, slotsHere(view)) }),
})
