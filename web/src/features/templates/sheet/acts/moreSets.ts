import { addSets } from '@young-oak/core/editing'
import { defineAct, lineHere } from './act.ts'

export const moreSets = defineAct({
  name: 'moreSets',
  keys: ['Alt+Enter'],
  shown: 'Alt + Enter',
  say: 'add a line of sets below',
  label: 'Add a line of sets',
  inMenu: 'Add a line of sets',
  run(view) {
    const line = lineHere(view)
    if (line?.kind !== 'sets') return {}
    return { put: addSets(view.library, view.draft, line.slotId, line.phase, line.prescribed.id) }
  },
})
