import type { Checker, Id } from '../../parsing/index.ts'
import type { Session, Template } from '../types.ts'

export const withSession = (draft: Template, id: Id, session: Session): Template => ({
  ...draft,
  sessions: { ...draft.sessions, [id]: session },
})

export const sessionName = ({ sessions }: Pick<Template, 'sessions'>, id: Id): string =>
  sessions[id]?.name ?? 'Session'

/** Slots say by its name which part they stand in. */
export function findSameNames(checker: Checker, parts: readonly { name: string }[], path: string): void {
  const names = parts.map(({ name }) => name)
  if (new Set(names).size < names.length)
    checker.add(path, 'sections of different names', names.join(', '), 'Give each section its own name.')
}
