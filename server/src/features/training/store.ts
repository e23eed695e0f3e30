import { actingDay } from '@young-oak/core/evidence'
import type { Fact } from '@young-oak/core/facts'
import type { Checkpoint } from '@young-oak/core/plan'
import { upgradeShown, withStart, type SessionLog } from '@young-oak/core/member'
import type { Day } from '@young-oak/core/units'
import { factColumns, logColumns, startColumns, type GivenStart } from '../../database/columns.ts'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'
import { upToDate, type NearDay, type Read } from './memberFile.ts'

/**
 * Raises the member's revision and holds the row, so that two writers of one member take turns; what is written is dated on a day, or is of a
 * session, and no checkpoint of that day or later holds any more. Answers the revision, which the rows carry that are written.
 */
export async function touchMember(
  { db, member }: MemberScope,
  { date, session }: { date?: Day; session?: string },
): Promise<number> {
  const { rows } = await db.raw(
    `update member set revision = revision + 1, dirty_from = least(dirty_from, ?::date,
       (select date from session_log where id = ? and member_id = member.id))
     where id = ? returning revision`,
    [date ?? null, session ?? null, member],
  )
  return rows[0].revision
}

/** Stores a fact, and says whether it is new; what it corrects or replaces may have acted earlier. */
export async function insertFact({ db, gym, member }: MemberScope, fact: Fact): Promise<boolean> {
  const row = { gym_id: gym, member_id: member, ...factColumns(fact) }
  const names = Object.keys(row)
  const { rowCount } = await db.raw(
    `with touched as (
       update member set revision = revision + 1, traits = null, dirty_from = least(dirty_from, ?::date,
         (select min(date) from fact where gym_id = member.gym_id and member_id = member.id and id in (?, ?)))
       where id = ? returning revision)
     insert into fact (${names.join(', ')}, revision) select ${names.map(() => '?').join(', ')}, revision from touched
     on conflict (gym_id, member_id, id, rev, change) do nothing`,
    [actingDay(fact), fact.id, fact.replaces ?? '', member, ...Object.values(row)],
  )
  return rowCount > 0
}

/** Holds members until the transaction ends; in one order, so that two who hold several take turns. */
export async function holdMembers({ db }: Scope, ids: string[]): Promise<void> {
  await db('member').whereIn('id', ids).orderBy('id').forUpdate().select('id')
}

/** Stores facts of several members at once, and raises their revisions; held in one order, so that two sheets take turns. */
export async function insertFacts(scope: Scope, facts: { scope: MemberScope; fact: Fact }[]): Promise<void> {
  const { db, gym } = scope
  const days = new Map<string, Day>()
  for (const { scope, fact } of facts) {
    const day = actingDay(fact)
    const had = days.get(scope.member)
    if (had === undefined || day < had) days.set(scope.member, day)
  }
  const members = [...days.keys()].sort()
  await holdMembers(scope, members)
  const { rows } = await db.raw(
    `update member set revision = revision + 1, traits = null, dirty_from = least(dirty_from, given.day)
     from unnest(?::uuid[], ?::date[]) as given(member, day) where id = given.member returning id, revision`,
    [members, members.map((member) => days.get(member) as Day)],
  )
  const revisions = new Map((rows as { id: string; revision: number }[]).map((row) => [row.id, row.revision]))
  await db.batchInsert(
    'fact',
    facts.map(({ scope: { member }, fact }) => ({
      gym_id: gym,
      member_id: member,
      revision: revisions.get(member),
      ...factColumns(fact),
    })),
    200,
  )
}

/** A session of this member, without what was shown, with every set that was logged until now; nothing where it is another member's. */
export async function readSession({ db, member }: MemberScope, id: string): Promise<SessionLog | undefined> {
  const { rows } = await db.raw(
    `select l.copy, l.format, (select json_agg(json_build_object('format', s.format, 'body', s.body) order by s.revision, s.id, s.rev, s.change)
       from set_entry s where s.gym_id = l.gym_id and s.session_id = l.id and s.revision > l.copied) as newer
     from session_log l where l.id = ? and l.member_id = ?`,
    [id, member],
  )
  return rows[0] && upToDate(rows[0])
}

/**
 * Stores a start of a session: of two phones that start the same place, the second finds the first's session and adds its own start. Says
 * whether it was new; the session is another member's where it is null.
 */
export async function insertStart(
  scope: MemberScope,
  revision: number,
  log: SessionLog,
  start: GivenStart,
): Promise<boolean | null> {
  const { db, gym, member } = scope
  const { id, enrolment } = log
  const own = { gym_id: gym, member_id: member, revision }
  const row = { ...own, id, enrolment_id: enrolment, copied: revision, ...logColumns(log) }
  const made = await db('session_log').insert(row).onConflict(['gym_id', 'id']).ignore().returning('id')
  const had = made.length ? undefined : await readSession(scope, id)
  if (!made.length && !had) return null
  const stored = await db('session_start')
    .insert({ ...own, session_id: id, ...startColumns(start) })
    .onConflict(['gym_id', 'session_id', 'change'])
    .ignore()
    .returning('change')
  if (had && stored.length) {
    const { waits: _, ...now } = withStart(had, { minute: 0, ...start })
    await saveCopy(scope, revision, had.waits && log.waits ? { ...now, waits: true } : now)
  }
  return stored.length > 0
}

/** The first start of a session that is stored. */
export async function readStart({ db, member }: MemberScope, session: string): Promise<GivenStart | null> {
  const row = await db('session_start')
    .where({ session_id: session, member_id: member })
    .orderBy(['date', 'minute', 'change'])
    .first('change', 'date', 'minute', 'location', 'shown')
  if (!row) return null
  const { change, date, minute, location, shown } = row
  const start: GivenStart = { change, date, shown: upgradeShown(shown) }
  if (minute !== null) start.minute = minute
  if (location !== null) start.location = location
  return start
}

/** Whether a day is ahead of the gym's own by more than the date line. */
export async function isFarAhead({ db, gym }: MemberScope, day: Day): Promise<boolean> {
  const { rows } = await db.raw(
    'select (now() at time zone zone)::date + 1 < ?::date as ahead from gym where id = ?',
    [day, gym],
  )
  return rows[0].ahead
}

/** Whether an enrolment is this member's, and a version this gym's: one that is over or was withdrawn since is both. */
export async function knows(
  { db, member }: MemberScope,
  enrolment: string,
  version: string,
): Promise<boolean> {
  const { rows } = await db.raw(
    `select exists (select from enrolment where id = ? and member_id = ?)
       and exists (select from template_version where id = ?) as known`,
    [enrolment, member, version],
  )
  return rows[0].known
}

/** Writes a session's copy, which has every set up to the revision. */
export async function saveCopy({ db }: MemberScope, revision: number, log: SessionLog): Promise<void> {
  await db('session_log')
    .where({ id: log.id })
    .update({ ...logColumns(log), revision, copied: revision })
}

/** A checkpoint that planning a member has left, and what they were read at. */
export type Left = {
  scope: MemberScope
  checkpoint: Checkpoint
  read: Pick<Read, 'revision' | 'gymRevision' | 'behind'>
}

/**
 * Keeps where planning members of one gym may take up the thread, of each if nothing of them was written since they were read; what else was to be
 * read again and again is brought up to date beside it: the copies of sessions that it has folded. A checkpoint of the other kind goes
 * where it holds no longer, since what tells that is cleared.
 */
export async function keepCheckpoints(kind: NearDay['through'], left: Left[]): Promise<void> {
  const [first] = left
  if (!first) return
  const given = left.map(({ scope: { member }, checkpoint, read: { revision, gymRevision, behind } }) => ({
    member,
    revision,
    gym_revision: gymRevision,
    through: checkpoint.through,
    body: checkpoint,
    copies: behind
      .filter(({ date }) => date <= checkpoint.through)
      .map((log) => ({ id: log.id, ...logColumns(log), copy: log })),
  }))
  await first.scope.db.raw(
    `with unchanged as (
       select m.gym_id, m.dirty_from, g.*
       from json_to_recordset(?) as g(member uuid, revision bigint, gym_revision bigint, through date, body json, copies json)
       join member m on m.id = g.member and m.revision = g.revision for update of m skip locked),
     cleared as (
       update member set dirty_from = null from unchanged u where member.gym_id = u.gym_id and member.id = u.member
         and u.dirty_from is not null),
     gone as (
       delete from fold_checkpoint c using unchanged u where c.gym_id = u.gym_id and c.member_id = u.member and c.kind <> ?
         and c.through >= u.dirty_from),
     copied as (
       update session_log l set copy = c.copy, format = c.format, copied = u.revision
       from unchanged u, json_to_recordset(u.copies) as c(id text, copy json, format int)
       where l.gym_id = u.gym_id and l.member_id = u.member and l.id = c.id)
     insert into fold_checkpoint (gym_id, member_id, kind, through, body, revision, gym_revision)
       select gym_id, member, ?, through, body, revision, gym_revision from unchanged
     on conflict (gym_id, member_id, kind) do update set through = excluded.through, body = excluded.body,
       revision = excluded.revision, gym_revision = excluded.gym_revision`,
    [JSON.stringify(given), kind, kind],
  )
}
