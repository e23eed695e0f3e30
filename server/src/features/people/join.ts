import type { GivenJoin, InvitedView } from '@young-oak/api/accounts'
import type { Role } from '@young-oak/api/people'
import type { Database } from '../../database/open.ts'
import type { Scope } from '../../database/scope.ts'
import { Problem, signInFirst } from '../../http/problem.ts'
import { hashToken } from '../../security/token.ts'
import { linkOver } from '../accounts/letters.ts'
import { hashPassword, isPassword } from '../accounts/password.ts'
import { addressOf, findAccount, insertAccount } from '../accounts/store.ts'
import { requestMail } from '../mail/letters.ts'
import { write } from '../mail/service.ts'
import { readLink } from './links.ts'
import {
  countRequests,
  findAsking,
  findInvitation,
  insertMember,
  insertRequest,
  insertStaff,
  isMember,
  mostWaiting,
  ownersOf,
  useInvitation,
  type Invitation,
} from './store.ts'

/** Works in the gym that a link names, with the invitation behind it, or with the gym's name where it is a link for asking to join. */
function behind<T>(
  database: Database,
  token: string,
  work: (scope: Scope, found: { invitation: Invitation } | { asked: string }) => Promise<T>,
): Promise<T> {
  const link = readLink(token)
  if (!link) throw linkOver()
  return database.inGym(link.gym, async (scope) => {
    if (link.isRequest) {
      const asked = await findAsking(scope, link.secret)
      if (asked === undefined) throw linkOver()
      return work(scope, { asked })
    }
    const invitation = await findInvitation(scope, hashToken(link.secret))
    if (!invitation) throw linkOver()
    return work(scope, { invitation })
  })
}

/** What a link is for, and who is signed in where it is opened. */
export const look = (database: Database, token: string, account?: string): Promise<InvitedView> =>
  behind(database, token, async (scope, found) => {
    const signedInAs = account === undefined ? null : ((await addressOf(scope, account)) ?? null)
    if ('asked' in found)
      return { kind: 'request', gymName: found.asked, role: 'member', name: '', from: '', signedInAs }
    const { gymName, role, name, from } = found.invitation
    return { kind: 'invitation', gymName, role, name, from, signedInAs }
  })

/** Takes the seat of an invitation, and answers whose and which it is. The seat, the account and the use of the link are one commit. */
export async function accept(
  database: Database,
  given: GivenJoin,
  signedIn?: string,
): Promise<{ account: string; seat: { gym: string; kind: Role } }> {
  const accountIn = await howToJoin(database, given, signedIn)
  return behind(database, given.token, async (scope, found) => {
    if ('asked' in found) throw linkOver()
    const { invitation } = found
    const account = await accountIn(scope)
    if (!(await takeSeat(scope, invitation, account, given.name)))
      throw alreadyHere(invitation.role, invitation.gymName)
    await useInvitation(scope, invitation.id, account)
    return { account, seat: { gym: scope.gym, kind: invitation.role } }
  })
}

/** Asks to be a member. Asked twice it is one request. */
export async function ask(database: Database, given: GivenJoin, signedIn?: string): Promise<void> {
  const accountIn = await howToJoin(database, given, signedIn)
  return behind(database, given.token, async (scope, found) => {
    if (!('asked' in found)) throw linkOver()
    const account = await accountIn(scope)
    if (await isMember(scope, account)) throw alreadyHere('member', found.asked)
    // A link that hangs on a wall must not fill the database.
    if ((await countRequests(scope)) >= mostWaiting)
      throw new Problem('tooMany', 'Too many people wait for an answer from this gym. Try again later.')
    await insertRequest(scope, account, given.name)
    const { name, day, owners } = await ownersOf(scope)
    await write(scope, ...owners.map((owner) => requestMail({ name }, owner, day)))
  })
}

/** The account of whoever joins, once they have proven it is theirs; a new one is made in the transaction of what is done with it. */
async function howToJoin(
  database: Database,
  { by, email = '', password = '' }: GivenJoin,
  signedIn?: string,
): Promise<(scope: Scope) => Promise<string>> {
  if (by === 'newAccount') {
    const hash = await hashPassword(password)
    return (scope) => newAccount(scope, email, hash)
  }
  if (by === 'seat') {
    if (signedIn === undefined) throw signInFirst()
    return () => Promise.resolve(signedIn)
  }
  const account = await database.outside((scope) => findAccount(scope, { email }))
  if (!(await isPassword(account?.password_hash, password)) || !account)
    throw new Problem('wrongPassword', 'This e-mail address and password do not go together.')
  return () => Promise.resolve(account.id)
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

const alreadyHere = (role: Role, gymName: string) =>
  new Problem('alreadyHere', `This account is ${role} at ${gymName} already. Nothing was changed.`)
