import type { Scope } from '../../database/scope.ts'
import { forbidden, notFound } from '../../http/problem.ts'
import type { Seat } from '../../http/seat.ts'

declare const checked: unique symbol

/**
 * A scope in which the training and health data of one member may be read and written. Stores of such data take nothing else, and it
 * is made here alone, from a seat and the assignments that are in force.
 */
export type MemberScope = Scope & { readonly member: string; readonly [checked]: true }

/** Of the member who is signed in, or of a member whom the signed-in writer has. Anybody else is refused. */
export async function memberScope(scope: Scope, seat: Seat, member: string): Promise<MemberScope> {
  if (seat.kind === 'member' && seat.id === member) return made(scope, member)
  if (!(await scope.db('member').where({ id: member }).first('id'))) throw notFound('member')
  const [own] = await memberScopes(scope, seat, { ids: [member] })
  if (!own) throw forbidden()
  return own
}

/** Of the members whom a writer has now, by name: all of them, or those of some ids; of a page those behind `after`. */
export async function memberScopes(
  scope: Scope,
  seat: Seat,
  { ids, after, most }: { ids?: string[]; after?: string; most?: number } = {},
): Promise<MemberScope[]> {
  if (seat.kind !== 'writer') return []
  const query = scope
    .db('member as m')
    .withMaterialized(
      'mine',
      scope
        .db('assignment')
        .where({ gym_id: scope.gym, staff_id: seat.id, until_at: null })
        .select('member_id'),
    )
    .where({ 'm.gym_id': scope.gym, 'm.left_at': null })
    // Read once, however many they are: by an index for each it took as long as all of them.
    .whereRaw('m.id in (select member_id from mine)')
    .orderBy(['m.name', 'm.id'])
    .select<{ id: string }[]>('m.id')
  if (ids) query.whereRaw('m.id = any(?::uuid[])', [ids])
  if (after) query.whereRaw('(m.name, m.id) > (select name, id from member where id = ?)', [after])
  if (most) query.limit(most)
  return (await query).map(({ id }) => made(scope, id))
}

/** Of all members who are here in the scope's gym, or those of some ids, for a job: it acts for the gym, and hands nobody what it reads. */
export async function scopesForJob(scope: Scope, ids?: string[]): Promise<MemberScope[]> {
  const query = scope
    .db('member')
    .where({ gym_id: scope.gym, left_at: null })
    .orderBy('id')
    .select<{ id: string }[]>('id')
  if (ids) query.whereIn('id', ids)
  return (await query).map(({ id }) => made(scope, id))
}

const made = (scope: Scope, member: string) => ({ ...scope, member }) as MemberScope
