import { defineAct } from './act.ts'

export const weekBefore = defineAct({
  name: 'weekBefore',
  keys: ['PageUp'],
  shown: 'Page Up, Page Down',
  say: 'go to the week before, the week after',
  label: 'Go to the week before',
  run: ({ week }) => ({ week: Math.max(week - 1, 1) }),
})
