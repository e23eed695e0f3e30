import { partSlots } from '@young-oak/core/editing'
import { defineAct, slotsHere } from './act.ts'

export const ungroup = defineAct({
  name: 'ungroup',
  keys: ['Alt+u'],
  shown: 'Alt + U',
  say: 'ungroup the superset',
  label: 'Remove from the superset',
  inMenu: 'Remove from the superset',
  run: (view) => ({ put: partSlots(view.library, view.draft, slotsHere(view)) }),
})
