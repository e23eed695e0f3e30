import type { Checkpoint } from '@young-oak/core/plan'
import { beats, type Fact, type SessionLog, type SetLog } from '@young-oak/core/member'
import type { Scope } from '../../database/scope.ts'

/** Raises the member's revision and holds the row, so that two writers of one member take turns. */
export async function touchMember({ db }: Scope, memberId: string): Promise<void> {
  await db('member').where({ id: memberId }).increment('revision', 1)
}

export async function insertFact({ db, gym }: Scope, memberId: string, fact: Fact): Promise<void> {
  const { id, rev, change = '', date } = fact
  await db('fact')
    .insert({ gym_id: gym, member_id: memberId, id, rev, change, date, body: JSON.stringify(fact) })
    .onConflict(['gym_id', 'member_id', 'id', 'rev', 'change'])
    .ignore()
}

/** The session of this member, its row held until the transaction ends; nothing where it is another member's. */
export async function holdSession(
  { db }: Scope,
  memberId: string,
  id: string,
): Promise<SessionLog | undefined> {
  const row = await db('session_log').where({ id, member_id: memberId }).forUpdate().first('copy')
  return row?.copy
}

/** Stores a session once: of two phones that start the same place, the second finds the first's. */
export async function insertSession({ db, gym }: Scope, memberId: string, log: SessionLog): Promise<boolean> {
  const { id, enrolment, date, closed } = log
  const row = {
    gym_id: gym,
    id,
    member_id: memberId,
    enrolment_id: enrolment,
    date,
    closed,
    copy: JSON.stringify(log),
  }
  const made = await db('session_log').insert(row).onConflict(['gym_id', 'id']).ignore().returning('id')
  return made.length > 0
}

/**
 * Appends a set and brings the session's copy up to date in the same transaction; the session's row is held, so two sets at
 * once take turns. Says whether the set was new, known already, or lost to one of the same revision that is kept.
 */
export async function appendSet(
  { db, gym }: Scope,
  log: SessionLog,
  set: SetLog,
): Promise<'stored' | 'already had' | 'conflict'> {
  const { id, rev, change = '' } = set
  const row = { gym_id: gym, session_id: log.id, id, rev, change, body: JSON.stringify(set) }
  const made = await db('set_entry')
    .insert(row)
    .onConflict(['gym_id', 'session_id', 'id', 'rev', 'change'])
    .ignore()
    .returning('id')
  if (!made.length) return 'already had'
  const had = log.sets.find((one) => one.id === id)
  if (had && !beats(set, had)) return 'conflict'
  await saveCopy({ db, gym }, { ...log, sets: [...log.sets.filter((one) => one.id !== id), set] })
  return had && had.rev === rev ? 'conflict' : 'stored'
}

export async function saveCopy({ db }: Pick<Scope, 'db' | 'gym'>, log: SessionLog): Promise<void> {
  await db('session_log')
    .where({ id: log.id })
    .update({ copy: JSON.stringify(log), closed: log.closed })
}

export async function findCheckpoint({ db }: Scope, memberId: string): Promise<Checkpoint | null> {
  const row = await db('fold_checkpoint').where({ member_id: memberId }).first('body')
  return row?.body ?? null
}

/** Keeps where planning may take up the thread. Of two at once either will do: it is checked before it is used. */
export async function keepCheckpoint(
  { db, gym }: Scope,
  memberId: string,
  checkpoint: Checkpoint,
): Promise<void> {
  await db('fold_checkpoint')
    .insert({ gym_id: gym, member_id: memberId, body: JSON.stringify(checkpoint) })
    .onConflict(['gym_id', 'member_id'])
    .merge()
}
