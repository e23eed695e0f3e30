import type { OwnExercise, OwnExercises, OwnId } from '@young-oak/core/library'
import type { Scope } from '../../database/scope.ts'

export async function listExercises({ db }: Scope): Promise<OwnExercises> {
  const rows = await db('exercise').orderBy(['created_at', 'id']).select('id', 'body')
  return Object.fromEntries(rows.map(({ id, body }) => [id, body]))
}

export async function libraryRevision({ db, gym }: Scope): Promise<number> {
  return (await db('gym').where({ id: gym }).first('library')).library
}

/** Stores exercises, or what is said of them anew, and raises the number of the gym's library, which is answered. */
export async function saveExercises({ db, gym }: Scope, exercises: OwnExercises): Promise<number> {
  const rows = (Object.entries(exercises) as [OwnId, OwnExercise][]).map(([id, body]) => ({
    gym_id: gym,
    id,
    body: JSON.stringify(body),
  }))
  if (rows.length) await db('exercise').insert(rows).onConflict(['gym_id', 'id']).merge(['body'])
  const [{ library }] = await db('gym')
    .where({ id: gym })
    .increment({ library: 1, revision: 1 })
    .returning('library')
  return library
}

/** Holds the gym's library until the transaction ends, so that two writers take turns. */
export async function holdLibrary({ db, gym }: Scope): Promise<void> {
  await db('gym').where({ id: gym }).forUpdate().first('id')
}
