import type { GivenGroup, GroupLine } from '@young-oak/api/groups'
import type { Condition } from '@young-oak/api/conditions'
import type { Scope } from '../../database/scope.ts'
import { whereFits } from './fits.ts'
import { bringTraits } from './traits.ts'

/** The format of a rule as it is stored. */
const format = 1

const columns = ({ name, rule }: GivenGroup) => ({ name, format, rule: rule && JSON.stringify(rule) })

export const listGroups = ({ db, gym }: Scope): Promise<GroupLine[]> =>
  db('member_group').where({ gym_id: gym }).orderByRaw('lower(name), id').select('id', 'name', 'rule')

export const findGroup = ({ db, gym }: Scope, id: string): Promise<GroupLine | undefined> =>
  db('member_group').where({ gym_id: gym, id }).first('id', 'name', 'rule')

/** Whether another group has a name, however it is written; until this transaction ends nobody else takes one. */
export async function isTaken({ db, gym }: Scope, name: string, by?: string): Promise<boolean> {
  await db.raw(`select pg_advisory_xact_lock(hashtextextended('groups of ' || ?, 0))`, [gym])
  const query = db('member_group').where({ gym_id: gym }).whereRaw('lower(name) = lower(?)', [name])
  if (by !== undefined) query.whereNot({ id: by })
  return (await query.first('id')) !== undefined
}

export async function insertGroup({ db, gym }: Scope, group: GivenGroup): Promise<string> {
  const [made] = await db('member_group')
    .insert({ gym_id: gym, ...columns(group) })
    .returning('id')
  return made.id
}

export async function saveGroup({ db, gym }: Scope, id: string, group: GivenGroup): Promise<void> {
  await db('member_group').where({ gym_id: gym, id }).update(columns(group))
}

export async function deleteGroup(scope: Scope, id: string): Promise<boolean> {
  const { db, gym } = scope
  const inIt = await db('group_member')
    .where({ gym_id: gym, group_id: id })
    .select<{ member_id: string }[]>('member_id')
  await touch(
    scope,
    inIt.map(({ member_id }) => member_id),
  )
  return (await db('member_group').where({ gym_id: gym, id }).delete()) > 0
}

/** Everybody here who is in a group today, with whether a writer has them. */
export async function membersOf(
  scope: Scope,
  { id, rule }: GroupLine,
  staff: string,
): Promise<{ id: string; isOwn: boolean }[]> {
  const { db, gym } = scope
  if (rule) await bringTraits(scope)
  const query = db('member as m')
    .join('gym as g', 'g.id', 'm.gym_id')
    .leftJoin('assignment as a', (on) =>
      on
        .on('a.gym_id', 'm.gym_id')
        .andOn('a.member_id', 'm.id')
        .andOnVal('a.staff_id', staff)
        .andOnNull('a.until_at'),
    )
    .where({ 'm.gym_id': gym, 'm.left_at': null })
    .select('m.id', db.raw('a.member_id is not null as "isOwn"'))
    .orderBy(['m.name', 'm.id'])
  if (rule) whereFits(query, gym, rule)
  else
    query.whereExists(
      db('group_member as o')
        .where({ 'o.group_id': id })
        .whereRaw('o.gym_id = m.gym_id and o.member_id = m.id'),
    )
  return query
}

/** Those of some members who fit a rule today. */
export async function whoFits(scope: Scope, rule: Condition[], members: string[]): Promise<string[]> {
  const { db, gym } = scope
  await bringTraits(scope)
  const query = db('member as m')
    .join('gym as g', 'g.id', 'm.gym_id')
    .where({ 'm.gym_id': gym })
    .whereRaw('m.id = any(?::uuid[])', [members])
    .select<{ id: string }[]>('m.id')
  whereFits(query, gym, rule)
  return (await query).map(({ id }) => id)
}

export async function putIn(scope: Scope, id: string, members: string[]): Promise<void> {
  const { db, gym } = scope
  await touch(scope, members)
  await db.raw(
    'insert into group_member (gym_id, group_id, member_id) select ?, ?, unnest(?::uuid[]) on conflict do nothing',
    [gym, id, members],
  )
}

export async function takeOut(scope: Scope, id: string, members: string[]): Promise<void> {
  const { db, gym } = scope
  await touch(scope, members)
  await db('group_member')
    .where({ gym_id: gym, group_id: id })
    .whereRaw('member_id = any(?::uuid[])', [members])
    .delete()
}

/** What a look found of members may rest on their groups: it is found anew once they have another revision. */
async function touch({ db, gym }: Scope, members: string[]): Promise<void> {
  await db.raw(
    `with held as (select id from member where gym_id = ? and id = any(?::uuid[]) order by id for no key update)
     update member set revision = revision + 1 where gym_id = ? and id in (select id from held)`,
    [gym, members, gym],
  )
}
