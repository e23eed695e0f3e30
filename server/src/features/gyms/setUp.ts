import { randomUUID } from 'node:crypto'
import type { GivenSetUp } from '@young-oak/api/gyms'
import type { Database } from '../../database/open.ts'
import { Problem } from '../../http/problem.ts'
import { hashToken, newCode, plainCode } from '../../security/token.ts'
import { hashPassword } from '../accounts/password.ts'
import { insertAccount } from '../accounts/store.ts'
import { insertStaff } from '../people/store.ts'
import { insertGym, isEmpty, saveCode, useCode } from './store.ts'

/** On a database with nobody in it: a new code for setting up the first gym, which the server prints. Else nothing. */
export const offerSetUp = (database: Database): Promise<string | null> =>
  database.outside(async (scope) => {
    if (!(await isEmpty(scope))) return null
    const code = newCode()
    await saveCode(scope, hashToken(plainCode(code)))
    return code
  })

/** Sets up the first gym with its owner, and answers the owner's account. The code is used up in the same transaction. */
export async function setUp(database: Database, { code, gym, owner }: GivenSetUp): Promise<string> {
  const { name, email, password, writes } = owner
  const hash = await hashPassword(password)
  return database.inGym(randomUUID(), async (scope) => {
    if (!(await useCode(scope, hashToken(plainCode(code)))) || !(await isEmpty(scope))) throw wrongCode()
    await insertGym(scope, gym)
    const account = (await insertAccount(scope, email, hash)) as string
    await insertStaff(scope, { account, name, role: 'owner' })
    if (writes) await insertStaff(scope, { account, name, role: 'writer' })
    return account
  })
}

const wrongCode = () => {
  const message = 'This is not the code. It stands where the server was started; each start prints a new one.'
  return new Problem('wrongCode', message, [{ path: 'code', message }])
}
