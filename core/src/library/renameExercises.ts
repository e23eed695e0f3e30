import { isOwnId, ownExercises, type ExerciseId, type OwnExercises, type OwnId } from './own.ts'

/** A document with exercises of a gym called by other ids, wherever it names them: as a value, or before a variant in the key of a lift. */
export function renameExercises<T>(document: T, ids: ReadonlyMap<OwnId, ExerciseId>): T {
  return ids.size ? (walk(document, (id) => ids.get(id) ?? id) as T) : document
}

/** The exercises of a gym that a document names. */
export function ownIdsIn(document: unknown): Set<OwnId> {
  const found = new Set<OwnId>()
  walk(document, (id) => {
    found.add(id)
    return id
  })
  return found
}

/** A document with the exercises of a gym that it names, and those that these name: a file that can be read anywhere. */
export function withOwnExercises<T extends object>(document: T): T & { exercises?: OwnExercises } {
  let all: OwnExercises = {}
  for (
    let more = ownIdsIn(document);
    more.size;
    more = new Set([...ownIdsIn(all)].filter((id) => !(id in all)))
  ) {
    const known = ownExercises(more)
    if (!Object.keys(known).length) break
    all = { ...all, ...known }
  }
  return Object.keys(all).length ? { ...document, exercises: all } : document
}

/** Which of some exercises are merged, and into what. */
export const mergedOf = (exercises: OwnExercises): Map<OwnId, ExerciseId> =>
  new Map(
    (Object.entries(exercises) as [OwnId, OwnExercises[OwnId]][]).flatMap(([id, { mergedInto }]) =>
      mergedInto ? [[id, mergedInto] as const] : [],
    ),
  )

/** No document that can be read lies deeper than this; what does is left to its reader to refuse. */
const deepest = 64

function walk(value: unknown, rename: (id: OwnId) => ExerciseId, depth = 0): unknown {
  if (depth > deepest) return value
  if (typeof value === 'string') return walkText(value, rename)
  if (Array.isArray(value)) return value.map((one) => walk(one, rename, depth + 1))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [walkText(key, rename), walk(one, rename, depth + 1)]),
  )
}

function walkText(text: string, rename: (id: OwnId) => ExerciseId): string {
  if (!text.startsWith('own:')) return text
  const cut = text.indexOf('/')
  const id = cut < 0 ? text : text.slice(0, cut)
  return isOwnId(id) ? rename(id) + (cut < 0 ? '' : text.slice(cut)) : text
}
