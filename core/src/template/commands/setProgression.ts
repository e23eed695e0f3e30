import { object } from 'yup'
import { liftName, type Library } from '../../library/index.ts'
import { at, idField, type Id } from '../../parsing/index.ts'
import { ruleOf } from '../../progressions/index.ts'
import { findRules } from '../read/looseEnds.ts'
import { readProgression } from '../read/readProgression.ts'
import type { Progression, Template } from '../types.ts'
import { changed, defineCommand, fromNow, gone, swapped, type Conflict } from './command.ts'
import { checkUsers, progressionName } from './progressions.ts'
import { same } from './values.ts'

type SetProgression = {
  do: 'setProgression'
  progression: Id
  from: Progression | null
  to: Progression | null
}

/** The whole of a progression; null where there is none. */
export const setProgression = defineCommand<SetProgression>({
  do: 'setProgression',
  apply,
  check(checker, draft, command) {
    const { progression: id, to } = command
    const path = at('progressions', id)
    if (to === null) {
      const follower = Object.values(draft.slots).find(({ uses }) =>
        uses.some(({ progression }) => progression === id),
      )
      const fix = 'Let the slot use another first.'
      return follower && checker.add(path, 'no slot that uses it', liftName(checker.library, follower), fix)
    }
    checker.check(object({ id: idField('a progression’s id').required() }), { id }, path)
    const read = readProgression(checker, to ?? null, path)
    if (!read || checker.issues.length) return
    if (!same(read, to)) return checker.add(path, 'a progression written out in full', to)
    findRules(checker, draft, read, path)
    checkUsers(checker, apply(draft, command), id)
  },
  say(library, draft, { progression, from, to }) {
    const done = from ? (to ? 'changed' : 'removed') : 'added'
    const rule = (to ?? from)?.stages[0]?.rule
    return `${progressionName(library, draft, progression)} ${done}${rule ? `: ${ruleOf[rule].title}` : ''}`
  },
  inverse: swapped,
  renew: fromNow(({ progressions }, { progression }) => progressions[progression] ?? null),
})

function apply(draft: Template, { progression: id, from, to }: SetProgression): Template | Conflict {
  const { [id]: own = null, ...others } = draft.progressions
  const what = (library: Library) => progressionName(library, draft, id)
  if (!own && from) return gone(what)
  if (!same(own, from)) return changed(what, 'something else')
  return { ...draft, progressions: to ? { ...draft.progressions, [id]: to } : others }
}
