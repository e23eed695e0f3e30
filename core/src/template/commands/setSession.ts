import { at, type Id } from '../../parsing/index.ts'
import { sessionShape } from '../read/shape.ts'
import type { Defaults, Session } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped } from './command.ts'
import { sessionName, withSession } from './sessions.ts'
import { fieldOf, same, withField } from './values.ts'

type Field = keyof typeof fieldNames
type Value = string | Defaults | null

const fieldNames = { name: 'name', defaults: 'what its exercises inherit' } satisfies Partial<
  Record<keyof Session, string>
>

export const setSession = defineCommand<{
  do: 'setSession'
  session: Id
  field: Field
  from: Value
  to: Value
}>({
  do: 'setSession',
  apply(draft, { session: id, field, from, to }) {
    const own = draft.sessions[id]
    if (!own) return gone('The session')
    if (!same(own[field] ?? null, from)) return changed(`${own.name}, ${fieldNames[field]},`, own[field])
    return withSession(draft, id, withField(own, field, to))
  },
  check(checker, _, { session: id, field, to }) {
    if (to === null && field === 'name') return checker.add(`${at('sessions', id)}.name`, 'a name', to)
    if (to !== null) checker.check(sessionShape.pick([field]), { [field]: to }, at('sessions', id))
  },
  say: (_, draft, { session, field }) => `${sessionName(draft, session)}: ${fieldNames[field]} changed`,
  inverse: swapped,
  renew: fromNow(({ sessions }, { session, field }) => fieldOf(sessions[session], field)),
})
