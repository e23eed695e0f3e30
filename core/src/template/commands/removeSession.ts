import { at, type Id } from '../../parsing/index.ts'
import { slotsOf, type Session } from '../types.ts'
import { asMeant, changed, defineCommand, gone } from './command.ts'
import { same } from './values.ts'

export const removeSession = defineCommand<{ do: 'removeSession'; session: Id; value: Session }>({
  do: 'removeSession',
  apply(draft, { session: id, value }) {
    const { [id]: own, ...sessions } = draft.sessions
    if (!own) return gone(`The session ${value.name}`)
    if (!same(own, value)) return changed(`The session ${value.name}`, 'something else')
    return { ...draft, sessions }
  },
  check(checker, { phases, sessions }, { session: id }) {
    const path = at('sessions', id)
    const slots = sessions[id] ? slotsOf(sessions[id]) : []
    if (slots.length) checker.add(path, 'a session without slots', slots, 'Remove or move them first.')
    const phase = phases.find(({ rotation }) => rotation.includes(id))
    if (phase)
      checker.add(path, 'a session that is in no rotation', phase.name, 'Take it out of the phase first.')
  },
  say: (_library, _draft, { value }) => `Session removed: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'addSession' }),
  renew: asMeant,
})
