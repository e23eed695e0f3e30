import { opened } from '../typing.ts'
import { defineAct } from './act.ts'

export const open = defineAct({
  name: 'open',
  keys: ['Enter', 'F2'],
  shown: 'Enter or F2',
  say: 'edit the cell; Enter again saves and moves down',
  label: 'Edit the cell',
  inMenu: 'Change the exercise',
  run(view) {
    const typing = opened(view)
    return typing ? { typing } : {}
  },
})
