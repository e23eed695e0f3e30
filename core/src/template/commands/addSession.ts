import { object } from 'yup'
import { at, idField, type Id } from '../../parsing/index.ts'
import { sessionShape } from '../read/shape.ts'
import { slotsOf, type Session } from '../types.ts'
import { asMeant, changed, defineCommand } from './command.ts'
import { findSameNames, withSession } from './sessions.ts'

/** A session without slots: they are added to it one by one. */
export const addSession = defineCommand<{ do: 'addSession'; session: Id; value: Session }>({
  do: 'addSession',
  apply: (draft, { session: id, value }) =>
    draft.sessions[id]
      ? changed(`The session ${value.name}`, 'there already')
      : withSession(draft, id, value),
  check(checker, _, { session: id, value }) {
    const path = at('sessions', id)
    checker.check(object({ id: idField('a session’s id').required() }), { id }, path)
    if (!checker.check(sessionShape, value, path)) return
    if (slotsOf(value).length)
      checker.add(path, 'a session without slots', slotsOf(value), 'Add them after it.')
    findSameNames(checker, value.sections, path)
  },
  say: (_library, _draft, { value }) => `Session added: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'removeSession' }),
  renew: asMeant,
})
