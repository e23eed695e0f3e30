import { addSession } from '@young-oak/core/editing'
import { mint } from '../../mint.ts'
import { columnHere, defineAct } from './act.ts'

export const newSession = defineAct({
  name: 'newSession',
  keys: ['Alt+Shift+n'],
  shown: 'Alt + Shift + N',
  say: 'add a session to the week',
  label: 'Add a session to the week',
  run(view) {
    const here = columnHere(view)
    const name = `Session ${Object.keys(view.draft.sessions).length + 1}`
    return here ? { put: addSession(view.draft, here.phase, name, mint) } : {}
  },
})
