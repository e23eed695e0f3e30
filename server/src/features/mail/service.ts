import type { Database } from '../../database/open.ts'
import type { Scope } from '../../database/scope.ts'
import { addJob } from '../../jobs/addJob.ts'
import type { Post } from '../../mail/mailer.ts'
import { findUnsent, insertMail, noteFault, noteSent, type NewMail } from './store.ts'

/** Writes messages down, with this transaction or not at all; where the server sends mail, each is sent soon after. */
export async function write(scope: Scope, ...mails: NewMail[]): Promise<void> {
  for (const id of await insertMail(scope, mails)) await addJob(scope, 'mail', id)
}

/**
 * Sends a message that waits. Without a mail server it stays where the owner sees it; where sending fails, it is tried again. A server that is killed right
 * after sending sends it once more.
 */
export async function send(
  database: Database,
  { mailer, publicUrl }: Post,
  gym: string,
  id: string,
): Promise<void> {
  if (!mailer) return
  const mail = await database.inGym(gym, (scope) => findUnsent(scope, id))
  if (!mail) return
  const { to, subject, body, path } = mail
  try {
    await mailer({ to, subject, text: `${body}\n\n${new URL(path, publicUrl).href}\n` })
  } catch (error) {
    await database.inGym(gym, (scope) => noteFault(scope, id, sayFault(error)))
    throw error
  }
  await database.inGym(gym, (scope) => noteSent(scope, id))
}

/** In words of ours: what a mail server answers may quote the message. */
function sayFault(error: unknown): string {
  const { code, responseCode } = error as { code?: string; responseCode?: number }
  if (code === 'EENVELOPE') return 'The mail server refuses this address.'
  if (code === 'EAUTH') return 'The mail server refuses the name or password in SMTP_URL.'
  if (responseCode !== undefined) return `The mail server refuses the message (${responseCode}).`
  return 'The mail server cannot be reached.'
}
