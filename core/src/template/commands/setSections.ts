import { at, type Id } from '../../parsing/index.ts'
import { limits, sectionShape, sessionShape } from '../read/shape.ts'
import { slotsOf, type Section } from '../types.ts'
import { asMeant, changed, defineCommand, gone, swapped } from './command.ts'
import { findSameNames, sessionName, withSession } from './sessions.ts'
import { same } from './values.ts'

/** The parts with the slots in them, which stay the same slots. */
export const setSections = defineCommand<{ do: 'setSections'; session: Id; from: Section[]; to: Section[] }>({
  do: 'setSections',
  apply(draft, { session: id, from, to }) {
    const own = draft.sessions[id]
    if (!own) return gone('The session')
    if (!same(own.sections, from)) return changed(`The sections of ${own.name}`, 'something else')
    return withSession(draft, id, { ...own, sections: to })
  },
  check(checker, { sessions }, { session: id, to }) {
    const path = `${at('sessions', id)}.sections`
    const own = sessions[id]
    if (!checker.check(sessionShape.pick(['sections']), { sections: to ?? null }, at('sessions', id)) || !own)
      return
    to.forEach((part, i) => checker.check(sectionShape, part, `${path}[${i}]`))
    const [was, is] = [slotsOf(own), to.flatMap(({ slots }) => slots)]
    if (!same([...was].sort(), [...is].sort())) checker.add(path, 'the same slots as before', is)
    findSameNames(checker, to, path)
    if (to.length > limits.sections) checker.add(path, `at most ${limits.sections} sections`, to.length)
  },
  say: (_, draft, { session }) => `${sessionName(draft, session)}: sections changed`,
  inverse: swapped,
  renew: asMeant,
})
