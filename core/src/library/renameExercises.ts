import { isOwnId, type ExerciseId, type Library, type OwnExercises, type OwnId } from './own.ts'

/** A document with exercises of a gym called by other ids, wherever it names them: as a value, or before a variant in the key of a lift. */
export function renameExercises<T>(document: T, ids: ReadonlyMap<OwnId, ExerciseId>): T {
  if (!ids.size || !mentions(document, ids)) return document
  return walk(document, (id) => ids.get(id) ?? id) as T
}

/** Most documents name nothing that was merged: they are looked through without a copy. */
function mentions(value: unknown, ids: ReadonlyMap<OwnId, ExerciseId>, depth = 0): boolean {
  if (typeof value === 'string') return isOneOf(value, ids)
  if (typeof value !== 'object' || value === null || depth > deepest) return false
  if (Array.isArray(value)) return value.some((one) => mentions(one, ids, depth + 1))
  for (const key in value)
    if (isOneOf(key, ids) || mentions((value as Record<string, unknown>)[key], ids, depth + 1)) return true
  return false
}

function isOneOf(text: string, ids: ReadonlyMap<OwnId, ExerciseId>): boolean {
  if (!text.startsWith('own:')) return false
  const cut = text.indexOf('/')
  return ids.has((cut < 0 ? text : text.slice(0, cut)) as OwnId)
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
export function withOwnExercises<T extends object>(
  library: Library,
  document: T,
): T & { exercises?: OwnExercises } {
  const all: OwnExercises = {}
  const add = (ids: Iterable<OwnId>): void => {
    for (const id of ids) {
      const one = library[id]
      if (!one || id in all) continue
      all[id] = one
      add(ownIdsIn(one))
    }
  }
  add(ownIdsIn(document))
  return Object.keys(all).length ? { ...document, exercises: all } : document
}

/** Which of some exercises are merged, and into what. */
export const mergedOf = (exercises: Library): Map<OwnId, ExerciseId> =>
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
