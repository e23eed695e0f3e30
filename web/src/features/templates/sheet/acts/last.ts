import { defineAct } from './act.ts'

export const last = defineAct({
  name: 'last',
  keys: ['Ctrl+End'],
  label: 'Go to the last session',
  run({ columns }) {
    const column = Math.max(columns.length - 1, 0)
    const line = Math.max((columns[column]?.lines.length ?? 1) - 1, 0)
    return { anchor: null, at: { column, line, field: 0 } }
  },
})
