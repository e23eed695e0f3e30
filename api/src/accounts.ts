import { object, string, type InferType } from 'yup'

export const signInSchema = object({
  email: string().required('Enter your e-mail address.').email('This is not an e-mail address.').max(200),
  password: string().required('Enter your password.').max(200, 'A password has at most 200 characters.'),
}).noUnknown()
export type SignIn = InferType<typeof signInSchema>

export const passwordSchema = object({
  current: string()
    .required('Enter your current password.')
    .max(200, 'A password has at most 200 characters.'),
  next: string()
    .required('Enter a new password.')
    .min(10, 'A password has at least 10 characters.')
    .max(200, 'A password has at most 200 characters.'),
}).noUnknown()
export type GivenPassword = InferType<typeof passwordSchema>

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
  demo: { email: string; password: string; who: string }[]
}
