import {
  mergedOf,
  ownIdsIn,
  renameExercises,
  type ExerciseId,
  type Library,
  type OwnId,
} from '@young-oak/core/library'
import type { Scope } from '../../database/scope.ts'
import { Problem } from '../../http/problem.ts'
import { listExercises } from './store.ts'

/** The libraries of gyms as this server read them last, each good for the number that it was read at. */
const read = new Map<string, { revision: number; library: Library }>()

/** The scope with the gym's own exercises, which are read again only where they changed. */
export async function withLibrary(scope: Scope, revision: number): Promise<Scope> {
  const known = read.get(scope.gym)
  if (known?.revision === revision) return { ...scope, library: known.library, libraryRevision: revision }
  const library = await listExercises(scope)
  read.set(scope.gym, { revision, library })
  return { ...scope, library, libraryRevision: revision }
}

/** Stored documents keep the ids that they were written with; they are read with what is merged called by what it is merged into. */
export const asMerged = <T>({ library }: Scope, document: T): T =>
  renameExercises(document, mergedIn(library))

/** What tells apart two readings of one stored document. */
export const mergedMark = ({ gym, library, libraryRevision }: Scope): string =>
  mergedIn(library).size ? `${gym} ${libraryRevision}` : ''

function mergedIn(library: Library): ReadonlyMap<OwnId, ExerciseId> {
  const known = merged.get(library)
  if (known) return known
  const made = mergedOf(library)
  merged.set(library, made)
  return made
}

/** A library is never changed in place, so what is merged in it is kept beside it. */
const merged = new WeakMap<Library, ReadonlyMap<OwnId, ExerciseId>>()

/** No document of this gym names an exercise of another. */
export function refuseStrangers(library: Library, document: unknown): void {
  const stranger = [...ownIdsIn(document)].find((id) => !(id in library))
  if (stranger === undefined) return
  throw new Problem('noSuchExercise', 'One of these exercises is not one of this gym’s.', [
    { path: '', message: `There is no exercise "${stranger}" here.` },
  ])
}
