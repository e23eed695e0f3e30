import { Problem } from '../../http/problem.ts'
import type { Call } from '../../http/route.ts'
import { isPassword } from './password.ts'
import { findAccount } from './store.ts'

/** The account of whoever asks, once their password has been checked. */
export async function needPassword({
  request,
  database,
  body: { current },
}: Pick<Call<unknown, { current: string }>, 'request' | 'database' | 'body'>): Promise<string> {
  const id = request.session.account ?? ''
  const account = await database.outside((scope) => findAccount(scope, { id }))
  if (account && (await isPassword(account.password_hash, current))) return id
  const message = 'This is not your current password.'
  throw new Problem('wrongPassword', message, [{ path: 'current', message }])
}
