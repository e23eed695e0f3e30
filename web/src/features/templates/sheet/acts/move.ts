import { moved } from '../sheet.ts'
import { defineAct } from './act.ts'

export const move = defineAct({
  name: 'move',
  keys: ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Home', 'End'],
  shown: 'Arrows, Home, End',
  say: 'move from cell to cell',
  run: ({ columns, at }, key) => ({ anchor: null, at: moved(columns, at, key) }),
})
