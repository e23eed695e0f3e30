import type { GivenJoin, InvitedView } from '@young-oak/api/accounts'
import type { Role } from '@young-oak/api/people'
import type { Database } from '../../database/open.ts'
import type { Scope } from '../../database/scope.ts'
import { Problem, signInFirst } from '../../http/problem.ts'
import { hashToken } from '../../security/token.ts'
import { linkOver } from '../accounts/letters.ts'
import { hashPassword, isPassword } from '../accounts/password.ts'
import { addressOf, findAccount, insertAccount } from '../accounts/store.ts'
import { findInvitation, insertMember, insertStaff, useInvitation, type Invitation } from './store.ts'

/** Works in the gym that a token names, with the invitation behind it. */
function behind<T>(
  database: Database,
  token: string,
  work: (scope: Scope, invitation: Invitation) => Promise<T>,
): Promise<T> {
  const [gym = '', secret = ''] = token.split('.')
  if (!isUuid.test(gym)) throw linkOver()
  return database.inGym(gym, async (scope) => {
    const invitation = await findInvitation(scope, hashToken(secret))
    if (!invitation) throw linkOver()
    return work(scope, invitation)
  })
}
const isUuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/

/** What an invitation is for, and who is signed in where it is opened. */
export const look = (database: Database, token: string, account?: string): Promise<InvitedView> =>
  behind(database, token, async (scope, { gymName, role, name, from }) => ({
    gymName,
    role,
    name,
    from,
    signedInAs: account === undefined ? null : ((await addressOf(scope, account)) ?? null),
  }))

/** Takes the seat of an invitation, and answers whose and which it is. The seat, the account and the use of the link are one commit. */
export async function accept(
  database: Database,
  given: GivenJoin,
  signedIn?: string,
): Promise<{ account: string; seat: { gym: string; kind: Role } }> {
  const { token, name } = given
  const known = given.by === 'newAccount' ? undefined : await accountOf(database, given, signedIn)
  const hash = given.by === 'newAccount' ? await hashPassword(given.password ?? '') : ''
  return behind(database, token, async (scope, invitation) => {
    const account = known ?? (await newAccount(scope, given.email ?? '', hash))
    if (!(await takeSeat(scope, invitation, account, name))) throw alreadyHere(invitation)
    await useInvitation(scope, invitation.id, account)
    return { account, seat: { gym: scope.gym, kind: invitation.role } }
  })
}

/** The account of whoever joins with one that there is: of this browser, or of an address and its password. */
async function accountOf(database: Database, given: GivenJoin, signedIn?: string): Promise<string> {
  if (given.by === 'seat') {
    if (signedIn === undefined) throw signInFirst()
    return signedIn
  }
  const { email = '', password = '' } = given
  const account = await database.outside((scope) => findAccount(scope, { email }))
  if (!(await isPassword(account?.password_hash, password)) || !account)
    throw new Problem('wrongPassword', 'This e-mail address and password do not go together.')
  return account.id
}

async function newAccount(scope: Scope, email: string, hash: string): Promise<string> {
  const made = await insertAccount(scope, email, hash)
  if (made !== undefined) return made
  const message = 'There is an account with this address: choose “I have an account” and sign in with it.'
  throw new Problem('addressTaken', message, [{ path: 'email', message }])
}

const takeSeat = (scope: Scope, { role, writers }: Invitation, account: string, name: string) =>
  role === 'member'
    ? insertMember(scope, { account, name, writers })
    : insertStaff(scope, { account, name, role })

const alreadyHere = ({ role, gymName }: Invitation) =>
  new Problem('alreadyHere', `This account is ${role} at ${gymName} already. Nothing was changed.`)
