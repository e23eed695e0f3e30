import { defineAct } from './act.ts'

export const deselect = defineAct({
  name: 'deselect',
  keys: ['Escape'],
  shown: 'Escape',
  say: 'leave the cell as it was; clear the selection',
  run: () => ({ anchor: null }),
})
