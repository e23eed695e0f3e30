import type { Id, Template } from './types.ts'

/** The letters by which a session is walked down: A, B, then C1 and C2 for neighbours that alternate as a superset. */
export function lettersOf(template: Template, session: Id): Record<Id, string> {
  const known = cache.get(template) ?? new Map<Id, Record<Id, string>>()
  const letters = known.get(session) ?? letter(template, session)
  cache.set(template, known.set(session, letters))
  return letters
}

/** A template that has been read is never changed in place, so its letters are kept beside it. */
const cache = new WeakMap<Template, Map<Id, Record<Id, string>>>()

function letter({ sessions, slots }: Template, session: Id): Record<Id, string> {
  const runs: Id[][] = []
  let open: string | undefined
  for (const id of sessions[session]?.parts.flatMap((part) => part.slots) ?? []) {
    const group = slots[id]?.group
    if (group !== undefined && group === open) runs[runs.length - 1]?.push(id)
    else runs.push([id])
    open = group
  }
  const letters: Record<Id, string> = {}
  runs.forEach((run, i) => {
    const letter = String.fromCharCode(65 + (i % 26))
    run.forEach((id, n) => (letters[id] = run.length > 1 ? `${letter}${n + 1}` : letter))
  })
  return letters
}
