import { object } from 'yup'
import { at, idField } from '../../reading/index.ts'
import { limits, partShape, sessionShape } from '../shape.ts'
import { slotsOf, type Session, type Template } from '../types.ts'
import { changed, defineCommand, gone, same, withField, type SessionField } from './command.ts'

/** A session without slots: they are added to it one by one. */
export const addSession = defineCommand<'addSession'>({
  apply(draft, { session: id, value }) {
    if (draft.sessions[id]) return changed(`The session ${value.name}`, 'there already')
    return { ...draft, sessions: { ...draft.sessions, [id]: value } }
  },
  check(checker, _, { session: id, value }) {
    const path = at('sessions', id)
    checker.check(object({ id: idField('a session’s id').required() }), { id }, path)
    if (!checker.check(sessionShape, value, path)) return
    if (slotsOf(value).length)
      checker.add(path, 'a session without slots', slotsOf(value), 'Add them after it.')
    const names = value.parts.map(({ name }) => name)
    if (new Set(names).size < names.length) checker.add(path, 'parts of different names', names)
  },
  say: (_, { value }) => `Session added: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'removeSession' }),
})

export const removeSession = defineCommand<'removeSession'>({
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
      checker.add(path, 'a session that no phase has in turn', phase.name, 'Take it out of the phase first.')
  },
  say: (_, { value }) => `Session removed: ${value.name}`,
  inverse: (command) => ({ ...command, do: 'addSession' }),
})

export const setSession = defineCommand<'setSession'>({
  apply(draft, { session: id, field, from, to }) {
    const own = draft.sessions[id]
    if (!own) return gone('The session')
    if (!same(own[field] ?? null, from)) return changed(`${own.name}, ${sessionNames[field]},`, own[field])
    return withSession(draft, id, withField(own, field, to))
  },
  check(checker, _, { session: id, field, to }) {
    if (to === null && field === 'name') return checker.add(`${at('sessions', id)}.name`, 'a name', to)
    if (to !== null) checker.check(sessionShape.pick([field]), { [field]: to }, at('sessions', id))
  },
  say: ({ sessions }, { session, field }) =>
    `${sessions[session]?.name ?? 'Session'}: ${sessionNames[field]} changed`,
})

const sessionNames: Record<SessionField, string> = { name: 'name', defaults: 'what its slots inherit' }

export const setParts = defineCommand<'setParts'>({
  apply(draft, { session: id, from, to }) {
    const own = draft.sessions[id]
    if (!own) return gone('The session')
    if (!same(own.parts, from)) return changed(`The parts of ${own.name}`, 'something else')
    return withSession(draft, id, { ...own, parts: to })
  },
  check(checker, { sessions }, { session: id, to }) {
    const path = `${at('sessions', id)}.parts`
    const own = sessions[id]
    if (!checker.check(sessionShape.pick(['parts']), { parts: to ?? null }, at('sessions', id)) || !own)
      return
    to.forEach((part, i) => checker.check(partShape, part, `${path}[${i}]`))
    const [was, is] = [slotsOf(own), to.flatMap(({ slots }) => slots)]
    if (!same([...was].sort(), [...is].sort())) checker.add(path, 'the same slots as before', is)
    const names = to.map(({ name }) => name)
    if (new Set(names).size < names.length)
      checker.add(path, 'parts of different names', names.join(', '), 'Give each part a name of its own.')
    if (to.length > limits.parts) checker.add(path, `at most ${limits.parts} parts`, to.length)
  },
  say: ({ sessions }, { session }) => `${sessions[session]?.name ?? 'Session'}: parts changed`,
})

const withSession = (draft: Template, id: string, session: Session): Template => ({
  ...draft,
  sessions: { ...draft.sessions, [id]: session },
})
