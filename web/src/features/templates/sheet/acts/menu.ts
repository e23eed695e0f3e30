import { defineAct, lineHere } from './act.ts'

export const menu = defineAct({
  name: 'menu',
  keys: ['Shift+F10', 'ContextMenu'],
  shown: 'Shift + F10',
  say: 'open the menu of the exercise',
  label: 'Open the menu of the exercise',
  run: (view) => (lineHere(view)?.kind === 'sets' ? { menu: true } : {}),
})
