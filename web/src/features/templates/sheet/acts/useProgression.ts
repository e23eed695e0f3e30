import { knownProgression } from '@young-oak/core/editing'
import { withKnown } from '../../inspector/slotRules.ts'
import { defineAct, lineHere } from './act.ts'

export const useProgression = defineAct({
  name: 'useProgression',
  keys: ['Alt+f'],
  shown: 'Alt + F',
  say: 'use the progression that another line of the lift has',
  label: 'Use the progression of this lift',
  run(view) {
    const line = lineHere(view)
    if (line?.kind !== 'sets') return {}
    const known = knownProgression(view.draft, line.slot.exercise)
    if (!known) return { say: 'No other line of this lift has a progression. Add one in the inspector.' }
    if (line.slot.uses.some(({ progression }) => progression === known.progression))
      return { say: 'This line uses the progression already.' }
    const built = withKnown(view.draft, line.slotId, known.progression)
    return built ? { put: built } : {}
  },
})
