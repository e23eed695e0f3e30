import { liftName } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Slot } from '../types.ts'
import { changed, defineCommand, gone } from './command.ts'
import { withSession } from './sessions.ts'
import { checkSlot, findTooMany, putIn, spotNow, withSlot } from './slots.ts'

export const addSlot = defineCommand<{
  do: 'addSlot'
  slot: Id
  session: Id
  section?: string
  after: Id
  value: Slot
}>({
  do: 'addSlot',
  apply(draft, { slot, session: id, section: part, after, value }) {
    const session = draft.sessions[id]
    if (!session) return gone('The session')
    if (draft.slots[slot])
      return changed((library) => `The exercise ${liftName(library, value)}`, 'there already')
    const placed = putIn(session, slot, after, part)
    if (!placed) return gone('The exercise before it')
    return withSlot(withSession(draft, id, placed), slot, value)
  },
  check(checker, draft, { slot, session, value }) {
    checkSlot(checker, draft, slot, value)
    findTooMany(checker, draft, session)
  },
  say: (library, _, { value }) => `Added: ${liftName(library, value)}`,
  inverse: (command) => ({ ...command, do: 'removeSlot' }),
  renew(draft, command) {
    const at = spotNow(draft, command)
    return at && !draft.slots[command.slot] ? { ...command, ...at } : null
  },
})
