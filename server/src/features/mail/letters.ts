import type { Role } from '@young-oak/api/people'
import { formatDay, type Day } from '@young-oak/core/units'
import { hashToken } from '../../security/token.ts'
import { invitePath } from '../people/links.ts'
import type { NewMail } from './store.ts'

type To = { name: string; email: string }

/** An invitation to a seat, by its link. Each link is a message of its own. */
export const invitationMail = (
  gym: { id: string; name: string },
  from: string,
  { id, name, email, role }: To & { id: string; role: Role },
  token: string,
): NewMail => ({
  key: `invitation ${id} ${hashToken(token).slice(0, 12)}`,
  to_name: name,
  to_address: email,
  invitation_id: id,
  subject: `${from} invites you to ${gym.name}`,
  body: `Hello ${name},\n\n${from} invites you to be ${asRole[role]} ${gym.name} on Young Oak. The link works once, for 14 days:`,
  path: invitePath(gym.id, token),
})

const asRole: Record<Role, string> = {
  owner: 'an owner of',
  writer: 'a writer of programs at',
  member: 'a member of',
}

/** Somebody asks to join: once a day, however many they are. */
export const requestMail = (
  gym: { name: string },
  { id, name, email }: To & { id: string },
  day: Day,
): NewMail => ({
  key: `request ${id} ${day}`,
  to_name: name,
  to_address: email,
  subject: `Somebody asks to join ${gym.name}`,
  body: `Hello ${name},\n\nsomebody asks to be a member of ${gym.name}. Answer on the People page:`,
  path: '/people',
})

/** The owner has let somebody in. */
export const letInMail = (
  gym: { name: string },
  { account, name, email }: To & { account: string },
  request: string,
): NewMail => ({
  key: `let in ${request}`,
  to_name: name,
  to_address: email,
  account_id: account,
  subject: `You are a member of ${gym.name}`,
  body: `Hello ${name},\n\n${gym.name} has let you in. Sign in to see your program, once a writer has published one to you:`,
  path: '/',
})

/** A writer asks for maxes that a program needs: which ones, the page says. Once a day. */
export const askMaxesMail = (
  gym: { name: string },
  from: string,
  { account, name, email }: To & { account: string },
  day: Day,
): NewMail => ({
  key: `ask maxes ${account} ${day}`,
  to_name: name,
  to_address: email,
  account_id: account,
  subject: `${from} asks for your maxes`,
  body: `Hello ${name},\n\n${from} of ${gym.name} plans a program that is worked out from your maxes, and some are missing. Add those that you know. For the others your first session finds the load:`,
  path: '/maxes',
})

/** A member has asked to have their data deleted: whoever did not ask still has the time to stop it. */
export const erasureMail = (
  gym: { name: string },
  { account, name, email }: To & { account: string },
  day: Day,
): NewMail => ({
  key: `erasure ${account} ${day}`,
  to_name: name,
  to_address: email,
  account_id: account,
  subject: `Your data at ${gym.name} will be deleted`,
  body: `Hello ${name},\n\nyou have asked to have your data at ${gym.name} deleted. It is deleted on ${formatDay(day)}. Until then you can keep it, on your account page:`,
  path: '/account',
})
