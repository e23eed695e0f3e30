import type { GivenGym, WeekStart } from '@young-oak/api/gyms'
import type { Scope } from '../../database/scope.ts'

/** Nobody has an account yet: the first gym is still to be set up. */
export async function isEmpty({ db }: Scope): Promise<boolean> {
  return !(await db('account').first('id'))
}

/** Keeps the code by which the first gym is set up, in place of the one before. */
export async function saveCode({ db }: Scope, hash: string): Promise<void> {
  await db('set_up_code').insert({ hash }).onConflict('is_one').merge({ hash, made_at: db.fn.now() })
}

/** Takes the code away where it is this one: of two at once only one has it. */
export async function useCode({ db }: Scope, hash: string): Promise<boolean> {
  return (await db('set_up_code').where({ hash }).delete()) === 1
}

/** A gym with its first location, in a scope of its id. */
export async function insertGym(
  { db, gym }: Scope,
  { name, zone, unit, weekStart = 'monday' }: GivenGym,
): Promise<void> {
  await db('gym').insert({ id: gym, name, zone, unit, week_start: weekStart })
  await db('location').insert({ gym_id: gym, id: 'home', name })
}

type Gym = GivenGym & { weekStart: WeekStart; join_token: string | null }

export async function readGym({ db, gym }: Scope): Promise<Gym> {
  return (await db('gym')
    .where({ id: gym })
    .first('name', 'zone', 'unit', 'week_start as weekStart', 'join_token')) as Gym
}

/** Another token behind the link for asking to join, or none. */
export async function saveJoinToken({ db, gym }: Scope, join_token: string | null): Promise<void> {
  await db('gym').where({ id: gym }).update({ join_token })
}

/** Every member's plan goes by the gym's days and unit. */
export async function updateGym(
  { db, gym }: Scope,
  { name, zone, unit, weekStart }: GivenGym,
): Promise<void> {
  await db('gym')
    .where({ id: gym })
    .update({ name, zone, unit, ...(weekStart && { week_start: weekStart }) })
    .increment('revision', 1)
}
