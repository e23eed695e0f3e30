import { pageSize, type Page } from '@young-oak/api/contracts'
import type { FormerLine } from '@young-oak/api/people'
import type { Scope } from '../../database/scope.ts'
import { pageFrom } from '../../http/page.ts'
import { stopErasure } from '../erasing/store.ts'

/** Ends the seats of members: what was trained stays, and nobody is assigned to them any more. */
export async function endMembers({ db }: Scope, ids: string[]): Promise<void> {
  const rows = await db('member')
    .whereIn('id', ids)
    .where({ left_at: null })
    .update({ left_at: db.fn.now() })
    .returning('id')
  const left = rows.map(({ id }) => id as string)
  await db('assignment')
    .whereIn('member_id', left)
    .where({ until_at: null })
    .update({ until_at: db.fn.now() })
}

/** Gives seats back that were ended; the owner's word that their data be deleted goes with that. */
export async function takeBackMembers(scope: Scope, ids: string[]): Promise<void> {
  await stopErasure(scope, ids, 'owner')
  await scope
    .db('member')
    .whereIn('id', ids)
    .whereNotNull('left_at')
    .where({ erased_at: null })
    .update({ left_at: null })
}

/** Who has left, by name, with the day in the gym's zone. */
export async function listFormer({ db }: Scope, after?: string): Promise<Page<FormerLine>> {
  const query = db('member as m')
    .join('gym as g', 'g.id', 'm.gym_id')
    .whereNotNull('m.left_at')
    .where({ 'm.erased_at': null })
    .orderBy(['m.name', 'm.id'])
    .limit(pageSize + 1)
    .select<FormerLine[]>(
      'm.id',
      'm.name',
      db.raw('(m.left_at at time zone g.zone)::date as "leftOn"'),
      'm.erase_on as eraseOn',
      db.raw(`m.erase_asked_by is not distinct from 'member' as "isOwnWord"`),
    )
  if (after) query.whereRaw('(m.name, m.id) > (select name, id from member where id = ?)', [after])
  return pageFrom(await query)
}
