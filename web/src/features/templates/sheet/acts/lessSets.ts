import { removeSets } from '@young-oak/core/editing'
import { defineAct, lineHere } from './act.ts'

export const lessSets = defineAct({
  name: 'lessSets',
  keys: ['Shift+Delete'],
  shown: 'Shift + Delete',
  say: 'remove the line of sets',
  label: 'Remove the line of sets',
  run(view) {
    const line = lineHere(view)
    if (line?.kind !== 'sets') return {}
    return { put: removeSets(view.library, view.draft, line.slotId, line.phase, line.prescribed.id) }
  },
})
