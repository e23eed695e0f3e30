import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'

/** Days between asking and deleting. */
export const daysToStop = 14

/** Whose data is to be deleted, and when the day begins in the gym's zone. */
export type Asked = { id: string; eraseOn: Day; at: Date }

/** Whose word it is: a member's own, or the owner's for somebody who has left. */
export type Asker = 'member' | 'owner'

/** Has what is known of members deleted; whoever has asked before keeps their day, and a member's own word goes before the owner's. */
export async function askErasure({ db }: Scope, ids: string[], by: Asker): Promise<Asked[]> {
  const { rows } = await db.raw(
    `update member m set erase_on = coalesce(m.erase_on, (now() at time zone g.zone)::date + ${daysToStop}),
       erase_asked_by = case when m.erase_asked_by = 'member' then 'member' else ? end
     from gym g where g.id = m.gym_id and m.id = any(?::uuid[]) and m.erased_at is null and (? = 'member' or m.left_at is not null)
     returning m.id, m.erase_on as "eraseOn", m.erase_on::timestamp at time zone g.zone as at`,
    [by, ids, by],
  )
  return rows
}

/** Keeps the data of members; the owner takes back the owner's word alone. */
export async function stopErasure({ db }: Scope, ids: string[], by: Asker): Promise<void> {
  await db('member')
    .whereIn('id', ids)
    .where({ erased_at: null, ...(by === 'owner' && { erase_asked_by: 'owner' }) })
    .update({ erase_on: null, erase_asked_by: null })
}

export async function erasureOf({ db }: Scope, id: string): Promise<Day | null> {
  return (await db('member').where({ id }).first('erase_on'))?.erase_on ?? null
}

/** Deletes what is known of a member, if their day has come. What stays is said in docs/security.md. */
export async function eraseMember({ db }: Scope, id: string): Promise<boolean> {
  const { rows } = await db.raw('select erase_member(?) as erased', [id])
  return rows[0].erased
}
