import { object, string, type InferType } from 'yup'

export const emailField = () =>
  string().required('Enter your e-mail address.').email('This is not an e-mail address.').max(200)
/** What somebody is called in a gym. */
export const personName = () =>
  string().trim().required('Enter the name.').max(80, 'A name has at most 80 characters.')
export const ownPassword = () =>
  string().required('Enter your password.').max(200, 'A password has at most 200 characters.')
export const newPassword = () =>
  string()
    .required('Enter a new password.')
    .min(10, 'A password has at least 10 characters.')
    .max(200, 'A password has at most 200 characters.')

export const signInSchema = object({ email: emailField(), password: ownPassword() }).noUnknown()
export type SignIn = InferType<typeof signInSchema>

export const passwordSchema = object({
  current: string()
    .required('Enter your current password.')
    .max(200, 'A password has at most 200 characters.'),
  next: newPassword(),
}).noUnknown()
export type GivenPassword = InferType<typeof passwordSchema>

/** Another address to sign in by. */
export const addressSchema = object({
  current: string()
    .required('Enter your current password.')
    .max(200, 'A password has at most 200 characters.'),
  email: emailField(),
}).noUnknown()
export type GivenAddress = InferType<typeof addressSchema>

/** What is asked of somebody who leaves a gym. */
export const ownLeaveSchema = object({ current: ownPassword() }).noUnknown()
export type GivenOwnLeave = InferType<typeof ownLeaveSchema>

/** What is asked of somebody who has their data deleted. */
export const erasureSchema = object({ current: ownPassword() }).noUnknown()
export type GivenErasure = InferType<typeof erasureSchema>

/** The day on which what a gym knows of a member is deleted; null where nobody has asked for it. */
export type ErasureView = { eraseOn: string | null }

const token = () => string().required('The link is not whole: copy all of it.').max(200)

/** Where a link for a new password is to be sent. */
export const forgottenSchema = object({ email: emailField() }).noUnknown()
export type GivenForgotten = InferType<typeof forgottenSchema>

/** A password chosen by the link of a letter. */
export const resetSchema = object({ token: token(), next: newPassword() }).noUnknown()
export type GivenReset = InferType<typeof resetSchema>

/** The link of an invitation, by what stands behind its "#". */
export const invitedSchema = object({ token: token() }).noUnknown()

/** How the seat of an invitation is taken: by whoever is signed in, with an account that there is, or with a new one. */
export const joinSchema = object({
  token: token(),
  name: personName(),
  by: string().oneOf(['seat', 'account', 'newAccount']).required(),
  email: string().when('by', { is: 'seat', then: (field) => field.optional(), otherwise: emailField }),
  password: string().when('by', ([by]: string[], field) =>
    by === 'seat' ? field.optional() : by === 'account' ? ownPassword() : newPassword(),
  ),
}).noUnknown()
export type GivenJoin = InferType<typeof joinSchema>

/** What a link says to whoever opens it: an invitation, or the gym's own by which anybody may ask to join. */
export type InvitedView = {
  kind: 'invitation' | 'request'
  gymName: string
  role: SeatView['kind']
  /** Of whom is invited, and who has invited; nobody's where it is a request. */
  name: string
  from: string
  /** The e-mail address of the account that is signed in in this browser; null where nobody is. */
  signedInAs: string | null
}

export const chooseSeatSchema = object({ gym: string().required(), id: string().required() }).noUnknown()

export type SeatView = {
  gym: string
  gymName: string
  kind: 'owner' | 'writer' | 'member'
  id: string
  name: string
}

/** Who is signed in, as whom, and which demo accounts may be offered (none but in demo mode). */
export type SessionView = {
  seat: SeatView | null
  seats: SeatView[]
  /** The address that whoever is signed in signs in by. */
  email: string | null
  /** Whether the server sends mail, and so a link for a new password. */
  sendsMail: boolean
  demo: { email: string; password: string; who: string }[]
}
