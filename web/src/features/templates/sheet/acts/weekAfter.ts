import { defineAct } from './act.ts'

export const weekAfter = defineAct({
  name: 'weekAfter',
  keys: ['PageDown'],
  label: 'Go to the week after',
  run: ({ week, weeks }) => ({ week: Math.min(week + 1, weeks) }),
})
