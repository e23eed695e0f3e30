import { defineAct } from './act.ts'

export const first = defineAct({
  name: 'first',
  keys: ['Ctrl+Home'],
  shown: 'Ctrl + Home, Ctrl + End',
  say: 'go to the first session, the last session',
  label: 'Go to the first session',
  run: () => ({ anchor: null, at: { column: 0, line: 0, field: 1 } }),
})
