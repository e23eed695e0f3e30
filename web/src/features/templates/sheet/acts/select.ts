import { moved } from '../sheet.ts'
import { defineAct } from './act.ts'

export const select = defineAct({
  name: 'select',
  keys: ['Shift+ArrowUp', 'Shift+ArrowDown', 'Shift+ArrowLeft', 'Shift+ArrowRight'],
  shown: 'Shift + arrows',
  say: 'select a range of cells or lines',
  run({ columns, at, anchor }, key) {
    const next = moved(columns, at, key)
    return next.column === at.column ? { anchor: anchor ?? at, at: next } : {}
  },
})
