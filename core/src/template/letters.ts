import type { Id } from '../parsing/index.ts'
import type { Slot } from './types.ts'

/** The letters by which a session is walked down: A, B, then C1 and C2 for neighbours that alternate as a superset. */
export function lettersOf(lines: Lines): Record<Id, string> {
  const known = cache.get(lines)
  if (known) return known
  const made = letter(lines)
  cache.set(lines, made)
  return made
}

type Lines = readonly { id: Id; slot: Pick<Slot, 'superset'> }[]

/** Lines are never changed in place, so their letters are kept beside them. */
const cache = new WeakMap<Lines, Record<Id, string>>()

function letter(lines: Lines): Record<Id, string> {
  const runs: Id[][] = []
  let open: string | undefined
  for (const { id, slot } of lines) {
    const { superset: prescribed } = slot
    if (prescribed !== undefined && prescribed === open) runs[runs.length - 1]?.push(id)
    else runs.push([id])
    open = prescribed
  }
  const letters: Record<Id, string> = {}
  runs.forEach((run, i) => {
    const letter = String.fromCharCode(65 + (i % 26))
    run.forEach((id, n) => (letters[id] = run.length > 1 ? `${letter}${n + 1}` : letter))
  })
  return letters
}
