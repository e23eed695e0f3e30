import { liftName } from '../../library/index.ts'
import type { Id } from '../../parsing/index.ts'
import type { Slot } from '../types.ts'
import { changed, defineCommand, gone } from './command.ts'
import { spotOf, without } from './slots.ts'
import { same } from './values.ts'

export const removeSlot = defineCommand<{
  do: 'removeSlot'
  slot: Id
  session: Id
  section?: string
  after: Id
  value: Slot
}>({
  do: 'removeSlot',
  apply(draft, { slot, session: id, value }) {
    const session = draft.sessions[id]
    const { [slot]: own, ...slots } = draft.slots
    if (!session || !own) return gone('The exercise')
    if (!same(own, value))
      return changed((library) => `The exercise ${liftName(library, own)}`, 'something else')
    return { ...draft, slots, sessions: { ...draft.sessions, [id]: without(session, slot) } }
  },
  check: () => undefined,
  say: (library, _, { value }) => `Removed: ${liftName(library, value)}`,
  inverse: (command) => ({ ...command, do: 'addSlot' }),
  renew(draft, command) {
    const [value, at] = [draft.slots[command.slot], spotOf(draft, command.slot)]
    return value && at ? { ...command, ...at, value } : null
  },
})
