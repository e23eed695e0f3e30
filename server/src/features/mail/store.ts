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

/** A message that was not sent yet, and whose link is still worth something. */
export async function findUnsent({ db }: Scope, id: string): Promise<Unsent | undefined> {
  return db('mail')
    .where({ id, sent_at: null })
    .whereNotNull('path')
    .first('to_address as to', 'subject', 'body', 'path')
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

/** Takes the link away from messages of an invitation that was used, withdrawn or given another link. */
export async function forgetLinks({ db }: Scope, invitation: string): Promise<void> {
  await db('mail').where({ invitation_id: invitation }).update({ path: null })
}

/** Messages, the latest first, from behind one on. */
export async function listMail(
  { db, gym }: Scope,
  publicUrl: string,
  after?: string,
): Promise<Page<MailLine>> {
  const query = db('mail')
    .where({ gym_id: gym })
    .orderBy([{ column: 'made_at', order: 'desc' }, { column: 'id' }])
    .limit(pageSize + 1)
    .select('id', 'to_name as toName', 'to_address as toAddress', 'subject', 'body', 'path', 'fault')
    .select(db.raw(`${instant('made_at')} as "madeAt"`), db.raw(`${instant('sent_at')} as "sentAt"`))
  if (after)
    query.whereRaw('(made_at, id) < (select made_at, id from mail where gym_id = ? and id = ?)', [gym, after])
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
