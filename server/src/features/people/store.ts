import { pageSize, type Page } from '@young-oak/api/contracts'
import type { InvitationLine, RequestLine, Role, StaffLine } from '@young-oak/api/people'
import type { Day } from '@young-oak/core/units'
import type { Scope } from '../../database/scope.ts'
import { pageFrom } from '../../http/page.ts'

type Person = { account: string; name: string }

/** Gives an account a seat of the staff, and takes up one that is over. Nothing where it has the seat already. */
export async function insertStaff(
  { db, gym }: Scope,
  { account, name, role }: Person & { role: 'owner' | 'writer' },
): Promise<boolean> {
  const rows = await db('staff')
    .insert({ gym_id: gym, account_id: account, name, role })
    .onConflict(['gym_id', 'account_id', 'role'])
    .merge({ name, left_at: null })
    .whereNotNull('staff.left_at')
    .returning('id')
  return rows.length > 0
}

/** Gives an account a member's seat, or the one back that was ended, assigned to writers who are still here. Nothing where it has one. */
export async function insertMember(
  scope: Scope,
  { account, name, writers }: Person & { writers: string[] },
): Promise<boolean> {
  const { db, gym } = scope
  const [made] = await db('member')
    .insert({ gym_id: gym, account_id: account, name })
    .onConflict(['gym_id', 'account_id'])
    .merge({ name, left_at: null })
    .whereNotNull('member.left_at')
    .returning('id')
  if (!made) return false
  for (const writer of await writersAmong(scope, writers)) await assign(scope, [made.id], writer)
  return true
}

/** Of some ids those of writers who are here. */
export async function writersAmong({ db }: Scope, ids: string[]): Promise<string[]> {
  const rows = await db('staff')
    .where({ role: 'writer', left_at: null })
    .whereIn('id', ids)
    .select<{ id: string }[]>('id')
  return rows.map(({ id }) => id)
}

export async function listStaff({ db }: Scope, self: string): Promise<StaffLine[]> {
  const { rows } = await db.raw(
    `select s.id, s.name, s.role, a.email, s.id = ? as "isSelf",
       (select count(*)::int from assignment g where g.gym_id = s.gym_id and g.staff_id = s.id and g.until_at is null) as members
     from staff s join account a on a.id = s.account_id
     where s.left_at is null order by s.role, s.name, s.id`,
    [self],
  )
  return rows
}

/** The staff that are here, locked in one order, so that of two who end the last owners' seats one is told. */
export async function lockStaff({ db }: Scope): Promise<{ id: string; role: 'owner' | 'writer' }[]> {
  return db('staff').where({ left_at: null }).orderBy('id').forUpdate().select('id', 'role')
}

/**
 * Ends a seat: its assignments are over, and another writer has them where one is named. Invitations that it made and nobody has used are withdrawn,
 * so that nobody who leaves keeps a way back in. Its name stays where it stands.
 */
export async function endStaff(scope: Scope, id: string, handTo?: string): Promise<void> {
  const { db } = scope
  const over = await db('assignment')
    .where({ staff_id: id, until_at: null })
    .update({ until_at: db.fn.now() })
    .returning('member_id')
  if (handTo)
    await assign(
      scope,
      over.map(({ member_id }) => member_id as string),
      handTo,
    )
  await unused(scope).where({ 'i.made_by': id }).update({ withdrawn_at: db.fn.now() })
  await db('staff').where({ id }).update({ left_at: db.fn.now() })
}

/** Assigns members of the gym to a writer; whoever is assigned already stays so. */
export async function assign({ db }: Scope, members: string[], writer: string): Promise<void> {
  await db.raw(
    `insert into assignment (gym_id, member_id, staff_id)
       select gym_id, id, ? from member where id = any(?::uuid[]) and left_at is null
       on conflict (gym_id, member_id, staff_id) where until_at is null do nothing`,
    [writer, members],
  )
}

export async function unassign({ db }: Scope, members: string[], writer: string): Promise<void> {
  await db('assignment')
    .where({ staff_id: writer, until_at: null })
    .whereIn('member_id', members)
    .update({ until_at: db.fn.now() })
}

/** How long the link of an invitation works. */
const invited = `interval '14 days'`

export type NewInvitation = {
  role: Role
  name: string
  email: string | null
  writers: string[]
  token_hash: string
  made_by: string
}

export async function insertInvitations({ db, gym }: Scope, rows: NewInvitation[]): Promise<string[]> {
  const made = await db('invitation')
    .insert(rows.map((row) => ({ ...row, gym_id: gym, ends_at: db.raw(`now() + ${invited}`) })))
    .returning('id')
  return made.map(({ id }) => id as string)
}

/** Addresses, of some, that an invitation which still works is meant for. */
export async function invitedAmong({ db }: Scope, emails: string[]): Promise<string[]> {
  const rows = await db('invitation')
    .where({ used_at: null, withdrawn_at: null })
    .andWhere('ends_at', '>', db.fn.now())
    .whereIn('email', emails)
    .select<{ email: string }[]>('email')
  return rows.map(({ email }) => email)
}

/** Invitations that nobody has used: all, or those for members. */
const unused = ({ db }: Scope, role?: Role) =>
  db('invitation as i').where({ 'i.used_at': null, 'i.withdrawn_at': null, ...(role && { 'i.role': role }) })

export async function listInvitations(
  scope: Scope,
  role: Role | undefined,
  after?: string,
): Promise<Page<InvitationLine>> {
  const { db } = scope
  const query = unused(scope, role)
    .join('staff as s', (on) => on.on('s.gym_id', 'i.gym_id').andOn('s.id', 'i.made_by'))
    .orderBy(['i.name', 'i.id'])
    .limit(pageSize + 1)
    .select<InvitationLine[]>(
      'i.id',
      'i.name',
      'i.email',
      'i.role',
      's.name as from',
      db.raw(
        `coalesce((select json_agg(w.name order by w.name) from staff w where w.gym_id = i.gym_id and w.id = any(i.writers)), '[]') as writers`,
      ),
      db.raw(`to_char(i.ends_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as "endsAt"`),
      db.raw('i.ends_at <= now() as "isOver"'),
    )
  if (after) query.whereRaw('(i.name, i.id) > (select name, id from invitation where id = ?)', [after])
  return pageFrom(await query)
}

/** Puts another token behind an invitation that nobody has used, and answers whom it is for. */
export async function renewInvitation(
  scope: Scope,
  id: string,
  token_hash: string,
  role?: Role,
): Promise<{ name: string; email: string | null; role: Role } | undefined> {
  const [made] = await unused(scope, role)
    .where({ 'i.id': id })
    .update({ token_hash, ends_at: scope.db.raw(`now() + ${invited}`) })
    .returning(['name', 'email', 'role'])
  return made
}

export async function withdrawInvitation(scope: Scope, id: string, role?: Role): Promise<boolean> {
  const gone = await unused(scope, role).where({ 'i.id': id }).update({ withdrawn_at: scope.db.fn.now() })
  return gone > 0
}

export type Invitation = {
  id: string
  gymName: string
  role: Role
  name: string
  from: string
  writers: string[]
}

/** The invitation behind a token, as long as its link works; held, so that of two who use it at once one is told. */
export async function findInvitation({ db }: Scope, token_hash: string): Promise<Invitation | undefined> {
  return db('invitation as i')
    .join('gym as g', 'g.id', 'i.gym_id')
    .join('staff as s', (on) => on.on('s.gym_id', 'i.gym_id').andOn('s.id', 'i.made_by'))
    .where({ 'i.token_hash': token_hash, 'i.used_at': null, 'i.withdrawn_at': null })
    .andWhere('i.ends_at', '>', db.fn.now())
    .forUpdate('i')
    .first('i.id', 'g.name as gymName', 'i.role', 'i.name', 's.name as from', 'i.writers')
}

export async function useInvitation({ db }: Scope, id: string, account: string): Promise<void> {
  await db('invitation').where({ id }).update({ used_at: db.fn.now(), used_by: account })
}

/** The name of the gym, where anybody may ask to join it by this token. */
export async function findAsking({ db, gym }: Scope, join_token: string): Promise<string | undefined> {
  return (await db('gym').where({ id: gym, join_token }).first('name'))?.name
}

/** The gym with its owners and the day there, for telling them something. */
export async function ownersOf({
  db,
  gym,
}: Scope): Promise<{ name: string; day: Day; owners: { id: string; name: string; email: string }[] }> {
  const { rows } = await db.raw(
    `select g.name, (now() at time zone g.zone)::date as day,
       (select json_agg(json_build_object('id', s.id, 'name', s.name, 'email', a.email)) from staff s join account a on a.id = s.account_id
         where s.gym_id = g.id and s.role = 'owner' and s.left_at is null) as owners
     from gym g where g.id = ?`,
    [gym],
  )
  return { ...rows[0], owners: rows[0].owners ?? [] }
}

export async function isMember({ db }: Scope, account_id: string): Promise<boolean> {
  return (await db('member').where({ account_id, left_at: null }).first('id')) !== undefined
}

export async function insertRequest({ db, gym }: Scope, account_id: string, name: string): Promise<void> {
  await db('join_request').insert({ gym_id: gym, account_id, name }).onConflict().ignore()
}

/** The most people who may wait for an answer. */
export const mostWaiting = 500

export async function countRequests({ db }: Scope): Promise<number> {
  return Number((await db('join_request').where({ answered_at: null }).count('id as n'))[0]?.n)
}

export async function listRequests({ db }: Scope): Promise<RequestLine[]> {
  const { rows } = await db.raw(
    `select r.id, r.name, a.email, (r.asked_at at time zone g.zone)::date as "askedOn"
     from join_request r join account a on a.id = r.account_id join gym g on g.id = r.gym_id
     where r.answered_at is null order by r.asked_at, r.id limit ?`,
    [mostWaiting],
  )
  return rows
}

/** Answers a request that nobody has answered, and says whose it is. */
export async function answerRequest(
  { db }: Scope,
  id: string,
  answered_by: string,
  is_taken: boolean,
): Promise<Person | undefined> {
  const [row] = await db('join_request')
    .where({ id, answered_at: null })
    .update({ answered_at: db.fn.now(), answered_by, is_taken })
    .returning(['account_id', 'name'])
  return row && { account: row.account_id, name: row.name }
}
