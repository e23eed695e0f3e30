import { fillRange } from '../sheetEdits.ts'
import { defineAct } from './act.ts'

export const fill = defineAct({
  name: 'fill',
  keys: ['Shift+Enter', 'Ctrl+r'],
  shown: 'Shift + Enter, Ctrl + R',
  say: 'fill what is typed or selected into the later weeks of the phase',
  label: 'Fill into the later weeks of the phase',
  run({ draft, columns, range }) {
    const { command, byRule } = fillRange(draft, columns, range)
    if (!command) return {}
    return byRule ? { ask: { byRule, command } } : { put: command }
  },
})
