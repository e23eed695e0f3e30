import { array, boolean, mixed, object, string, type InferType } from 'yup'
import { mostOwnDays, othersBecome, type OthersBecome } from '../publications.ts'
import { isDay } from '@young-oak/core/units'

/** To whom a draft is published, from when, and how. */
export const publicationSchema = object({
  members: array().of(string().required()).min(1, 'Choose at least one member.').required(),
  start: string()
    .test('day', 'Choose a start date.', (value) => isDay(value))
    .required('Choose a start date.'),
  /** Whether each member starts on the first weekday that they usually train on. */
  onUsualDay: boolean().required(),
  /** Members who start on another day. */
  ownStarts: array()
    .of(
      object({
        member: string().required('Choose a member.'),
        start: string()
          .test('day', 'Choose a day.', (value) => isDay(value))
          .required('Choose a day.'),
      }).required(),
    )
    .max(mostOwnDays, `At most ${mostOwnDays} members start on a day of their own.`)
    .required(),
  note: string().max(2000, 'At most 2,000 characters.').defined(),
  /** Members who have the program change over with their next week or session, or start it again. */
  begins: mixed<'week' | 'session' | 'again'>().oneOf(['week', 'session', 'again']).required(),
  clock: mixed<'own' | 'calendar'>().oneOf(['own', 'calendar']).required(),
  /** "keep" leaves everybody on the track they are on; nothing is no track. */
  track: string().defined(),
  /** Members put on a track by hand; nothing is no track. */
  ownTracks: array()
    .of(object({ track: string().defined(), members: array().of(string().required()).required() }).required())
    .required(),
  /** Whether members may choose another track themselves. */
  choosesTrack: boolean().required(),
  /** Weeks ahead of the running one that a member sees. */
  opens: mixed<'all' | '0' | '1'>().oneOf(['all', '0', '1']).required(),
  /** What becomes of other programs that these members are on. */
  others: mixed<OthersBecome>().oneOf(othersBecome).required(),
  /** Whether new runs start from the last loads of the program before. */
  carry: boolean().required(),
})
export type Publication = InferType<typeof publicationSchema>
