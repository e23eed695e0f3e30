import type { Page } from '@young-oak/api/contracts'
import type { MemberLine, OwnData } from '@young-oak/api/members'
import type { Scope } from '../../database/scope.ts'
import { pageFrom } from '../../http/page.ts'
import { addressOf } from '../accounts/store.ts'
import type { MemberScope } from './memberScope.ts'

/** Members by name with their programs and attendance, from behind one on; days and weeks are the gym's. */
export async function listMembers(
  { db, gym }: Scope,
  staff: string,
  after: string | undefined,
  most: number,
): Promise<Page<MemberLine>> {
  const { rows } = await db.raw(
    `with page as (
       select gym_id, id, name from member
       where gym_id = ? and left_at is null and (?::uuid is null or (name, id) > (select name, id from member where id = ?::uuid))
       order by name, id limit ?)
     select m.id, m.name, mine."isMine",
       case when mine."isMine" then coalesce((select array_agg(o.name order by o.name)
         from group_member i join member_group o on o.gym_id = i.gym_id and o.id = i.group_id and o.rule is null
         where i.gym_id = m.gym_id and i.member_id = m.id), '{}') else '{}' end as groups,
       coalesce((select json_agg(json_build_object('id', s.id, 'name', s.name) order by s.name, s.id)
         from assignment a join staff s on s.gym_id = a.gym_id and s.id = a.staff_id
         where a.gym_id = m.gym_id and a.member_id = m.id and a.until_at is null), '[]') as writers,
       coalesce((select array_agg(t.name order by t.name)
         from current_enrolment e join template t on t.gym_id = e.gym_id and t.id = e.template_id
         where e.gym_id = m.gym_id and e.member_id = m.id), '{}') as programs,
       last.date as "lastSession", recent.sessions as "sessionsIn4Weeks"
     from page m cross join (
       select (now() at time zone zone)::date as today, case week_start when 'monday' then 1 when 'saturday' then 6 else 7 end as first
       from gym where id = ?) g
     cross join lateral (select exists (select from assignment a where a.gym_id = m.gym_id and a.member_id = m.id
       and a.staff_id = ? and a.until_at is null) as "isMine") mine
     left join lateral (
       select l.date from session_log l where l.gym_id = m.gym_id and l.member_id = m.id
         and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done')
       order by l.date desc limit 1) last on true
     cross join lateral (
       select count(*)::int as sessions from session_log l where l.gym_id = m.gym_id and l.member_id = m.id
         and l.date >= g.today - (extract(isodow from g.today)::int - g.first + 7) % 7 - 21
         and exists (select from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.state = 'done')) recent
     order by m.name, m.id`,
    [gym, after ?? null, after ?? null, most + 1, gym, staff],
  )
  return pageFrom(rows as MemberLine[], most)
}

/** What is kept of a member beside what plans them. */
export async function readOwn(scope: MemberScope, account: string): Promise<Omit<OwnData, 'file'>> {
  const { db, gym, member } = scope
  const writers = await db('assignment as a')
    .join('staff as s', (on) => on.on('s.gym_id', 'a.gym_id').andOn('s.id', 'a.staff_id'))
    .where({ 'a.member_id': member, 'a.until_at': null })
    .orderBy('s.name')
    .select<{ name: string }[]>('s.name')
  return {
    gym: (await db('gym').where({ id: gym }).first('name'))?.name ?? '',
    email: (await addressOf(scope, account)) ?? '',
    writers: writers.map(({ name }) => name),
  }
}
