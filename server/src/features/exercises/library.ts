import {
  knowExercises,
  mergedOf,
  ownIdsIn,
  renameExercises,
  type ExerciseId,
  type OwnExercises,
  type OwnId,
} from '@young-oak/core/library'
import type { Scope } from '../../database/scope.ts'
import { Problem } from '../../http/problem.ts'
import { listExercises } from './store.ts'

type Open = { revision: number; exercises: OwnExercises; merged: ReadonlyMap<OwnId, ExerciseId> }

/** The libraries of gyms as this server read them last; each request brings the number that tells whether that still holds. */
const open = new Map<string, Open>()

/** Makes the gym's own exercises known, read again only where they changed. */
export async function openLibrary(scope: Scope, revision: number): Promise<void> {
  if (open.get(scope.gym)?.revision === revision) return
  keepOpen(scope, revision, await listExercises(scope))
}

export function keepOpen({ gym }: Scope, revision: number, exercises: OwnExercises): void {
  knowExercises(exercises)
  open.set(gym, { revision, exercises, merged: mergedOf(exercises) })
}

export const exercisesOf = ({ gym }: Scope): OwnExercises => open.get(gym)?.exercises ?? {}

/** Stored documents keep the ids that they were written with; they are read with what is merged called by what it is merged into. */
export const asMerged = <T>({ gym }: Scope, document: T): T =>
  renameExercises(document, open.get(gym)?.merged ?? none)

/** What tells apart two readings of one stored document. */
export const mergedMark = ({ gym }: Scope): string => {
  const { revision = 0, merged = none } = open.get(gym) ?? {}
  return merged.size ? `${gym} ${revision}` : ''
}

const none: ReadonlyMap<OwnId, ExerciseId> = new Map()

/** No document of this gym names an exercise of another. */
export function refuseStrangers(scope: Scope, document: unknown): void {
  const own = exercisesOf(scope)
  const stranger = [...ownIdsIn(document)].find((id) => !(id in own))
  if (stranger === undefined) return
  throw new Problem(422, 'No such exercise', 'One of these exercises is none of this gym’s.', [
    { path: '', message: `There is no exercise "${stranger}" here.` },
  ])
}
