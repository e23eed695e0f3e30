import type { InvitationLink, GivenInvites } from '@young-oak/api/people'
import type { Scope } from '../../database/scope.ts'
import { notFound, Problem } from '../../http/problem.ts'
import type { Seat } from '../../http/seat.ts'
import { addressOf } from '../accounts/store.ts'
import { invitationMail, letInMail } from '../mail/letters.ts'
import { write } from '../mail/service.ts'
import { forgetLinks } from '../mail/store.ts'
import { hashToken, newToken } from '../../security/token.ts'
import { inviteLink } from './links.ts'
import {
  answerRequest,
  endStaff,
  insertInvitations,
  insertMember,
  invitedAmong,
  lockStaff,
  renewInvitation,
  withdrawInvitation,
  writersAmong,
} from './store.ts'

/** The roles that a seat may invite to: a writer invites members alone. */
export const invites = ({ kind }: Seat) => (kind === 'owner' ? undefined : 'member')

/** Invites people, all of them or nobody, and answers the link of each. */
export async function invite(
  scope: Scope,
  seat: Seat,
  given: GivenInvites,
  publicUrl: string,
): Promise<InvitationLink[]> {
  const people = given.people.map((one) => ({ ...one, email: one.email?.toLowerCase() }))
  const only = invites(seat)
  const faults = [
    ...(only
      ? people.map(({ role }, i) => role !== only && fault(i, 'role', 'A writer invites members.'))
      : []),
    ...(await addressFaults(scope, people)),
    ...(await writerFaults(scope, people)),
  ].filter((one) => one !== false)
  const [first] = faults
  if (first) throw new Problem(first.code ?? 'notAsExpected', first.message, faults)
  const tokens = people.map(newToken)
  const ids = await insertInvitations(
    scope,
    people.map(({ name, email, role, writers = [] }, i) => ({
      role,
      name,
      email: email ?? null,
      writers: role !== 'member' ? [] : only ? [seat.id] : writers,
      token_hash: hashToken(tokens[i] as string),
      made_by: seat.id,
    })),
  )
  const mails = people.flatMap(({ name, email, role }, i) =>
    email === undefined
      ? []
      : invitationMail(
          gymOf(seat),
          seat.name,
          { id: ids[i] as string, name, email, role },
          tokens[i] as string,
        ),
  )
  await write(scope, ...mails)
  return ids.map((id, i) => ({
    id,
    name: people[i]?.name ?? '',
    link: inviteLink(publicUrl, scope.gym, tokens[i] as string),
  }))
}

type Fault = { path: string; message: string; code?: 'noSuchWriter' | 'alreadyInvited' }
const fault = (i: number, field: string, message: string, code?: Fault['code']): Fault => ({
  path: `people[${i}].${field}`,
  message,
  ...(code && { code }),
})

async function addressFaults(
  scope: Scope,
  people: { email: string | undefined }[],
): Promise<(Fault | false)[]> {
  const emails = people.flatMap(({ email }) => email ?? [])
  const invited = new Set(await invitedAmong(scope, emails))
  return people.map(({ email }, i) => {
    if (email === undefined) return false
    if (invited.has(email)) return fault(i, 'email', `${email} is invited already.`, 'alreadyInvited')
    const isTwice = people.findIndex((one) => one.email === email) < i
    return isTwice && fault(i, 'email', `${email} is on this list twice.`, 'alreadyInvited')
  })
}

async function writerFaults(
  scope: Scope,
  people: Pick<GivenInvites['people'][number], 'writers'>[],
): Promise<(Fault | false)[]> {
  const known = new Set(
    await writersAmong(scope, [...new Set(people.flatMap(({ writers = [] }) => writers))]),
  )
  return people.map(
    ({ writers = [] }, i) =>
      writers.some((id) => !known.has(id)) && fault(i, 'writers', noWriter.message, 'noSuchWriter'),
  )
}

const noWriter = { message: 'This writer is not here any more. Load the page again.' }

/** Another link for an invitation that nobody has used. */
export async function renewLink(
  scope: Scope,
  seat: Seat,
  id: string,
  publicUrl: string,
): Promise<InvitationLink> {
  const token = newToken()
  const made = await renewInvitation(scope, id, hashToken(token), invites(seat))
  if (!made) throw notFound('invitation')
  const { name, email, role } = made
  await forgetLinks(scope, id)
  if (email !== null)
    await write(scope, invitationMail(gymOf(seat), seat.name, { id, name, email, role }, token))
  return { id, name, link: inviteLink(publicUrl, scope.gym, token) }
}

export async function withdraw(scope: Scope, seat: Seat, id: string): Promise<void> {
  if (!(await withdrawInvitation(scope, id, invites(seat)))) throw notFound('invitation')
}

const gymOf = ({ gym, gymName }: Seat) => ({ id: gym, name: gymName })

/** Lets somebody in who has asked, or refuses them. Whoever came in by another way meanwhile stays as they are. */
export async function answer(
  scope: Scope,
  seat: Seat,
  id: string,
  { isTaken, writers = [] }: { isTaken: boolean; writers?: string[] | undefined },
): Promise<void> {
  for (const writer of writers) await needWriter(scope, writer)
  const person = await answerRequest(scope, id, seat.id, isTaken)
  if (!person) throw notFound('request')
  if (!isTaken) return
  await insertMember(scope, { ...person, writers })
  const email = await addressOf(scope, person.account)
  if (email !== undefined) await write(scope, letInMail(gymOf(seat), { ...person, email }, id))
}

/** A writer of the gym, or a problem. */
export async function needWriter(scope: Scope, id: string): Promise<void> {
  const [known] = await writersAmong(scope, [id])
  if (!known) throw new Problem('noSuchWriter', noWriter.message)
}

/** Ends a seat of the staff. A gym is never left without an owner. */
export async function leave(scope: Scope, id: string, handTo?: string): Promise<void> {
  const staff = await lockStaff(scope)
  const seat = staff.find((one) => one.id === id)
  if (!seat) throw notFound('seat')
  if (seat.role === 'owner' && staff.filter(({ role }) => role === 'owner').length === 1)
    throw new Problem('lastOwner', 'A gym has at least one owner: invite another one first.')
  if (
    handTo !== undefined &&
    !staff.some((one) => one.id === handTo && one.role === 'writer' && one.id !== id)
  )
    throw new Problem('noSuchWriter', noWriter.message)
  await endStaff(scope, id, seat.role === 'writer' ? handTo : undefined)
}
