import type { AuditKind, AuditLine, Audited } from '@young-oak/api/audit'
import { pageSize, type Page } from '@young-oak/api/contracts'
import { pageFrom } from '../../http/page.ts'
import type { Scope } from '../../database/scope.ts'

/** `subject`: what it is about where that is no member. */
type Entry = { staff: string; what: Audited; subject: string | null }

const today = '(select (now() at time zone zone)::date from gym where id = ?)'

/** A read of one member's data: once a day. */
export async function noteRead({ db, gym }: Scope, { staff, what }: Entry, member: string): Promise<void> {
  await db.raw(
    `insert into audit (gym_id, day, staff_id, kind, what, member_id) values (?, ${today}, ?, 'read', ?, ?)
     on conflict (gym_id, day, staff_id, what, member_id) where kind = 'read' do nothing`,
    [gym, gym, staff, what, member],
  )
}

/** Lines of a list: once a day for each filter; further pages add to the count until its end was seen. */
export async function noteList(
  { db, gym }: Scope,
  { staff, what, subject }: Entry,
  { filter, count, isFirst, isLast }: { filter: string; count: number; isFirst: boolean; isLast: boolean },
): Promise<void> {
  await db.raw(
    `insert into audit (gym_id, day, staff_id, kind, what, subject, filter, count, is_whole) values (?, ${today}, ?, 'list', ?, ?, ?, ?, ?)
     on conflict (gym_id, day, staff_id, what, filter) where kind = 'list' do update
       set count = case when ? then greatest(audit.count, excluded.count) else audit.count + excluded.count end, is_whole = excluded.is_whole
       where not audit.is_whole`,
    [gym, gym, staff, what, subject, filter, count, isLast, isFirst],
  )
}

/** A change, of one member or several, or of something else. */
export async function noteChange(
  { db, gym }: Scope,
  { staff, what, subject }: Entry,
  { members, count }: { members: string[]; count: number | null },
): Promise<void> {
  await db.raw(
    `insert into audit (gym_id, day, staff_id, kind, what, subject, member_id, count)
     select ?, ${today}, ?, 'change', ?, ?, m.id, ?::int from (select null::uuid as id where cardinality(?::uuid[]) = 0 union all
       select id from member where gym_id = ? and id = any(?::uuid[])) m`,
    [gym, gym, staff, what, subject, count, members, gym, members],
  )
}

/** Tables of what an entry may be about, each with a name. Ids of locations are text. */
const subjects = ['staff', 'invitation', 'join_request', 'member_group', 'template']
const about = `case when a.subject ~ '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$' then (select name from (${subjects
  .map((table) => `select name from ${table} where gym_id = a.gym_id and id = a.subject::uuid`)
  .join(' union all ')}
    union all select name from location where gym_id = a.gym_id and id = a.subject
    union all select t.name from publication p join template t on t.gym_id = p.gym_id and t.id = p.template_id
    where p.gym_id = a.gym_id and p.id = a.subject::uuid) subject limit 1)
  else (select name from location where gym_id = a.gym_id and id = a.subject) end`

const linesWith = (
  about: string,
) => `select a.id::text, a.at, s.name as who, a.what, m.name as member, ${about} as about, a.count
  from audit a join staff s on s.gym_id = a.gym_id and s.id = a.staff_id
  left join member m on m.gym_id = a.gym_id and m.id = a.member_id`

/** The latest first, from behind one on. */
export async function listAudit(
  { db, gym }: Scope,
  { after, kind, name = '' }: { after?: string; kind?: AuditKind; name?: string },
): Promise<Page<AuditLine>> {
  const wanted = `%${name.trim().replace(/[\\%_]/g, '\\$&')}%`
  const { rows } = await db.raw(
    `${linesWith(about)} where a.gym_id = ? and a.id < ? and (?::text is null or a.kind = ?) and (s.name ilike ? or m.name ilike ?)
     order by a.id desc limit ?`,
    [gym, after ?? last, kind ?? null, kind ?? null, wanted, wanted, pageSize + 1],
  )
  return pageFrom((rows as Row[]).map(lineOf))
}

/** Of one member. How their writers name groups is none of it. */
export async function listAuditOf(
  { db, gym }: Scope,
  member: string,
  after: string = last,
): Promise<Page<AuditLine>> {
  const { rows } = await db.raw(
    `${linesWith('null')} where a.gym_id = ? and a.member_id = ? and a.id < ? order by a.id desc limit ?`,
    [gym, member, after, pageSize + 1],
  )
  return pageFrom((rows as Row[]).map(lineOf))
}

const last = '9223372036854775807'
type Row = Omit<AuditLine, 'at'> & { at: Date }
const lineOf = (row: Row): AuditLine => ({ ...row, at: row.at.toISOString() })
