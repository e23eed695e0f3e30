import type { Fact } from '@young-oak/core/facts'
import type { Checkpoint } from '@young-oak/core/plan'
import { beats, logFormat, upgradeLog, withStart, type SessionLog, type SetLog } from '@young-oak/core/member'
import { factColumns, logColumns, setColumns, startColumns, type GivenStart } from '../../database/columns.ts'
import type { Scope } from '../../database/scope.ts'
import type { MemberScope } from '../members/memberScope.ts'

/** Raises the member's revision and holds the row, so that two writers of one member take turns. */
export async function touchMember({ db, member }: MemberScope): Promise<void> {
  await db('member').where({ id: member }).increment('revision', 1)
}

export async function insertFact({ db, gym, member }: MemberScope, fact: Fact): Promise<void> {
  await db('fact')
    .insert({ gym_id: gym, member_id: member, ...factColumns(fact) })
    .onConflict(['gym_id', 'member_id', 'id', 'rev', 'change'])
    .ignore()
}

/**
 * The session of this member without what was shown, its row held until the transaction ends, and the member's revision raised;
 * nothing where it is another member's.
 */
export async function holdSession({ db, member }: MemberScope, id: string): Promise<SessionLog | undefined> {
  const { rows } = await db.raw(
    `with touched as (update member set revision = revision + 1 where id = ?)
     select copy, format from session_log where id = ? and member_id = ? for update`,
    [member, id, member],
  )
  return rows[0] && upgradeLog(rows[0].copy, rows[0].format)
}

/**
 * Stores a start of a session: of two phones that start the same place, the second finds the first's session and adds its own start. Says
 * whether it was new; the session is another member's where it is null.
 */
export async function insertStart(
  scope: MemberScope,
  log: SessionLog,
  start: GivenStart,
): Promise<boolean | null> {
  const { db, gym, member } = scope
  const { id, enrolment } = log
  const row = { gym_id: gym, id, member_id: member, enrolment_id: enrolment, ...logColumns(log) }
  const made = await db('session_log').insert(row).onConflict(['gym_id', 'id']).ignore().returning('id')
  const had = made.length ? undefined : await holdSession(scope, id)
  if (!made.length && !had) return null
  const stored = await db('session_start')
    .insert({ gym_id: gym, session_id: id, ...startColumns(start) })
    .onConflict(['gym_id', 'session_id', 'change'])
    .ignore()
    .returning('change')
  if (had && stored.length) await saveCopy(scope, withStart(had, { minute: 0, ...start }))
  return stored.length > 0
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

/**
 * Appends a set and brings the session's copy up to date in the same transaction; the session's row is held, so two sets at
 * once take turns. Says whether the set was new, already stored, or lost to one of the same revision that is kept.
 */
export async function appendSet(
  { db, gym }: Scope,
  log: SessionLog,
  set: SetLog,
): Promise<'stored' | 'already had' | 'conflict'> {
  const { id, rev, change, state, format, body } = setColumns(set)
  const had = log.sets.find((one) => one.id === id)
  const wins = !had || beats(set, had)
  const copy = wins ? { ...log, sets: [...log.sets.filter((one) => one.id !== id), set] } : log
  const { rows } = await db.raw(
    `with made as (
       insert into set_entry (gym_id, session_id, id, rev, change, state, format, body) values (?, ?, ?, ?, ?, ?, ?, ?)
       on conflict (gym_id, session_id, id, rev, change) do nothing returning id),
     kept as (update session_log set copy = ?, format = ? where id = ? and exists (select from made))
     select count(*)::int as made from made`,
    [gym, log.id, id, rev, change, state, format, body, JSON.stringify(copy), logFormat, log.id],
  )
  if (!rows[0].made) return 'already had'
  return had && (!wins || had.rev === rev) ? 'conflict' : 'stored'
}

export async function saveCopy({ db }: Pick<Scope, 'db' | 'gym'>, log: SessionLog): Promise<void> {
  await db('session_log').where({ id: log.id }).update(logColumns(log))
}

/** Keeps where planning may take up the thread. Of two at once either will do: it is checked before it is used. */
export async function keepCheckpoint(
  { db, gym, member }: MemberScope,
  checkpoint: Checkpoint,
): Promise<void> {
  await db('fold_checkpoint')
    .insert({
      gym_id: gym,
      member_id: member,
      through: checkpoint.through,
      body: JSON.stringify(checkpoint),
    })
    .onConflict(['gym_id', 'member_id'])
    .merge()
}
