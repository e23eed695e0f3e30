import { copySession } from '@young-oak/core/editing'
import { mint } from '../../mint.ts'
import { columnHere, defineAct } from './act.ts'

export const copyOfSession = defineAct({
  name: 'copyOfSession',
  keys: ['Alt+Shift+c'],
  shown: 'Alt + Shift + C',
  say: 'copy the session',
  label: 'Copy the session',
  run(view) {
    const here = columnHere(view)
    if (!here) return {}
    const { phase, session } = here
    const order = view.draft.phases.find(({ id }) => id === phase)?.rotation ?? []
    return { put: copySession(view.draft, session, phase, mint, order.indexOf(session) + 1) }
  },
})
