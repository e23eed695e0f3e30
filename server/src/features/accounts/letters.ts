import type { GivenReset } from '@young-oak/api/accounts'
import type { Database } from '../../database/open.ts'
import { Problem } from '../../http/problem.ts'
import { hashToken } from '../../security/token.ts'
import { hashPassword } from './password.ts'
import { savePassword, useLetter } from './store.ts'

/** Gives the account of a letter another password. Whoever was signed in with the old one is signed out. */
export async function resetPassword(database: Database, { token, next }: GivenReset): Promise<void> {
  const hash = await hashPassword(next)
  await database.outside(async (scope) => {
    const account = await useLetter(scope, hashToken(token))
    if (!account) throw linkOver()
    await savePassword(scope, account, hash)
  })
}

/** One answer for a link that was used, is over, was withdrawn or never was. */
export const linkOver = () =>
  new Problem(
    'linkOver',
    'This link was used already, has expired, or was withdrawn. Ask whoever gave it to you for a new one.',
  )
