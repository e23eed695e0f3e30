import { removeSlots } from '@young-oak/core/editing'
import { clearRange } from '../sheetEdits.ts'
import { columnHere, defineAct, slotsHere } from './act.ts'

export const clear = defineAct({
  name: 'clear',
  keys: ['Delete', 'Backspace'],
  shown: 'Delete',
  say: 'clear RIR or rest; let the progression set a load again; on an exercise, remove the exercise',
  label: 'Clear the cells, or remove the exercise',
  run(view) {
    const { library, draft, columns, at, range } = view
    if (range.fields[0] > 0) {
      const built = clearRange(library, draft, columns, range)
      return built ? { put: built } : {}
    }
    const slots = slotsHere(view)
    if (!slots.length) return {}
    const lowest = Math.max((columnHere(view)?.lines.length ?? 1) - 2, 0)
    return {
      put: removeSlots(library, draft, slots),
      anchor: null,
      at: { ...at, line: Math.min(range.lines[0], lowest) },
    }
  },
})
