import { array, boolean, mixed, object, string, type InferType } from 'yup'
import type { SeatView } from './accounts.ts'

export const roles = ['owner', 'writer', 'member'] as const
export type Role = (typeof roles)[number]
const role = () =>
  mixed<Role>((value): value is Role => roles.includes(value as Role)).required(
    'A role is owner, writer or member.',
  )

/** The most people that are invited at once. */
export const mostInvited = 500

/** A name that a spreadsheet would take for a formula is a slip of a list, not a name. */
const inviteName = () =>
  string()
    .trim()
    .required('Enter the name.')
    .max(80, 'A name has at most 80 characters.')
    .test('formula', 'A name does not begin with = + - or @.', (value) => !/^[=+\-@]/.test(value ?? ''))

const inviteEmail = () => string().trim().email('This is not an e-mail address.').max(200).optional()

/** One person to be invited. The address is for whoever sends the link; it is asked of nobody. */
export const inviteSchema = object({
  name: inviteName(),
  email: inviteEmail(),
  role: role(),
  /** Writers whom a member is assigned to. */
  writers: array().of(string().uuid().required()).max(20).optional(),
}).noUnknown()
export type GivenInvite = InferType<typeof inviteSchema>

/** One person as a form holds them: nothing where there is no address or writer. */
export const inviteDraftSchema = object({
  name: inviteName(),
  email: inviteEmail().defined(),
  role: role(),
  writer: string().defined(),
})
export type InviteDraft = InferType<typeof inviteDraftSchema>

export const invitesSchema = object({
  people: array()
    .of(inviteSchema.required())
    .min(1, 'Nobody is on the list.')
    .max(mostInvited, `At most ${mostInvited} people are invited at once.`)
    .required(),
}).noUnknown()
export type GivenInvites = InferType<typeof invitesSchema>

/** An invitation that nobody has used yet. */
export type InvitationLine = {
  id: string
  name: string
  email: string | null
  role: SeatView['kind']
  writers: string[]
  /** Who has invited. */
  from: string
  /** The last instant of its link, and whether that is past. */
  endsAt: string
  isOver: boolean
}
/** The link of an invitation; it is shown once, since the server keeps no more of it than a hash. */
export type InvitationLink = { id: string; name: string; link: string }

export type StaffLine = {
  id: string
  name: string
  role: 'owner' | 'writer'
  email: string
  /** Members who are assigned to a writer. */
  members: number
  isSelf: boolean
}

/** Whom a writer's members go to when the writer leaves; nobody, where it is left out. */
export const leaveSchema = object({ handTo: string().uuid().optional() }).noUnknown()

/** Ends the seats of members, or gives them back. */
export const membershipSchema = object({
  members: array().of(string().uuid().required()).min(1, 'Choose members.').max(20_000).required(),
  isOver: boolean().required(),
}).noUnknown()

/** Somebody who asks to be a member. */
export type RequestLine = { id: string; name: string; email: string; askedOn: string }

/** What the owner answers; whoever is let in is assigned to the writers who are named. */
export const answerRequestSchema = object({
  isTaken: boolean().required(),
  writers: array().of(string().uuid().required()).max(20).optional(),
}).noUnknown()

/** Somebody who trained here; their data may be about to be deleted, by their own word or the owner's. */
export type FormerLine = {
  id: string
  name: string
  leftOn: string
  eraseOn: string | null
  isOwnWord: boolean
}

/** Has the data of members who have left deleted, or stops that. */
export const erasuresSchema = object({
  members: array().of(string().uuid().required()).min(1, 'Choose members.').max(20_000).required(),
  isAsked: boolean().required(),
}).noUnknown()

/** Assigns members to a writer, or takes them away. */
export const assignSchema = object({
  members: array().of(string().uuid().required()).min(1, 'Choose members.').max(20_000).required(),
  writer: string().uuid().required(),
  isAssigned: boolean().required(),
}).noUnknown()
