import type { Database } from '../../database/open.ts'
import { addJob } from '../../jobs/addJob.ts'
import type { Post } from '../../mail/mailer.ts'
import { hashToken, newToken } from '../../security/token.ts'
import { addressOf, countLetters, findAccount, insertLetter } from './store.ts'

/** Has a link for a new password sent, where an account has the address. Nobody learns whether one has. */
export async function askLetter(database: Database, email: string): Promise<void> {
  await database.outside(async (scope) => {
    const account = await findAccount(scope, { email })
    if (account) await addJob(scope, 'letter', account.id)
  })
}

/** So many links for one account in an hour: more would be somebody else's joke. */
const mostLetters = 3

/** Makes a link for a new password and sends it. It stands in no gym's messages: an account may have seats in several. */
export async function sendLetter(
  database: Database,
  { mailer, publicUrl }: Post,
  account: string,
): Promise<void> {
  if (!mailer) return
  const token = newToken()
  const to = await database.outside(async (scope) => {
    if ((await countLetters(scope, account)) >= mostLetters) return undefined
    await insertLetter(scope, account, hashToken(token))
    return addressOf(scope, account)
  })
  if (to === undefined) return
  const link = `${new URL('/reset', publicUrl).href}#${token}`
  await mailer({
    to,
    subject: 'A new password for Young Oak',
    text: `Choose a new password here. The link works once, within an hour.\n\n${link}\n\nIf you did not ask for this, do nothing: your password stays as it is.\n`,
  })
}
