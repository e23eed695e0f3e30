import { pageSize, type Page } from '@young-oak/api/contracts'
import type { MailLine } from '@young-oak/api/mail'
import type { Scope } from '../../database/scope.ts'
import { pageFrom } from '../../http/page.ts'

export type NewMail = {
  /** What it is about, to whom and when: the same is written once. */
  key: string
  to_name: string
  to_address: string
  account_id?: string
  invitation_id?: string
  subject: string
  body: string
  /** Where its link leads, on this server's page. */
  path: string
}

/** Writes messages down, and answers their ids; what was written before is left out. */
export async function insertMail({ db, gym }: Scope, mails: NewMail[]): Promise<string[]> {
  if (!mails.length) return []
  const rows = await db('mail')
    .insert(mails.map((mail) => ({ ...mail, gym_id: gym })))
    .onConflict(['gym_id', 'key'])
    .ignore()
    .returning('id')
  return rows.map(({ id }) => id as string)
}

export type Unsent = { to: string; subject: string; body: string; path: string }

/** Where the link of a message `m` leads; null where it was sent, and where its invitation no longer works. */
const path = `case when m.invitation_id is null or exists (select from invitation i where i.gym_id = m.gym_id and i.id = m.invitation_id
  and i.used_at is null and i.withdrawn_at is null and i.ends_at > now()) then m.path end`

/** A message that was not sent yet, and whose link works. */
export async function findUnsent({ db, gym }: Scope, id: string): Promise<Unsent | undefined> {
  return db('mail as m')
    .where({ 'm.gym_id': gym, 'm.id': id, 'm.sent_at': null })
    .whereRaw(`(${path}) is not null`)
    .first('m.to_address as to', 'm.subject', 'm.body', 'm.path')
}

/** The link of a message that was sent is in the hands of whoever got it, and is kept nowhere else. */
export async function noteSent({ db }: Scope, id: string): Promise<void> {
  await db('mail')
    .where({ id })
    .update({ sent_at: db.fn.now(), tries: db.raw('tries + 1'), fault: null, path: null })
}

export async function noteFault({ db }: Scope, id: string, fault: string): Promise<void> {
  await db('mail')
    .where({ id })
    .update({ tries: db.raw('tries + 1'), fault })
}

/** Takes the link away from messages of an invitation that was given another one. */
export async function forgetLinks({ db }: Scope, invitation: string): Promise<void> {
  await db('mail').where({ invitation_id: invitation }).update({ path: null })
}

/** Messages, the latest first, from behind one on. */
export async function listMail(
  { db, gym }: Scope,
  publicUrl: string,
  after?: string,
): Promise<Page<MailLine>> {
  const query = db('mail as m')
    .where({ 'm.gym_id': gym })
    .orderBy([
      { column: 'm.made_at', order: 'desc' },
      { column: 'm.id', order: 'desc' },
    ])
    .limit(pageSize + 1)
    .select('m.id', 'm.to_name as toName', 'm.to_address as toAddress', 'm.subject', 'm.body', 'm.fault')
    .select(
      db.raw(`${path} as path, ${instant('m.made_at')} as "madeAt", ${instant('m.sent_at')} as "sentAt"`),
    )
  if (after)
    query.whereRaw('(m.made_at, m.id) < (select made_at, id from mail where gym_id = ? and id = ?)', [
      gym,
      after,
    ])
  const rows = (await query) as (Omit<MailLine, 'link'> & { path: string | null })[]
  return pageFrom(
    rows.map(({ path, ...line }) => ({
      ...line,
      link: path === null ? null : new URL(path, publicUrl).href,
    })),
  )
}

const instant = (column: string): string =>
  `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`
