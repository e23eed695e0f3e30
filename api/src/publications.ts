import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import type { Impact } from '@young-oak/core/impact'
import { isDay } from '@young-oak/core/units'
import { ruleSchema } from './conditions.ts'

/** How many members one publication starts on days of their own that are given by hand. */
export const mostOwnDays = 500

/** How many members one publication reaches at most. */
export const mostMembers = 50_000

/** How many tracks one publication gives out by hand. */
const mostOwnTracks = 100

/** What becomes of other programs. */
export const othersBecome = ['beside', 'replace', 'follow'] as const
export type OthersBecome = (typeof othersBecome)[number]

export const publishSchema = object({
  /** Made by the page: one that is sent twice is one. */
  id: string().uuid().required(),
  /** Of the draft, as its writer saw it. */
  revision: number().integer().min(0).required(),
  members: array()
    .of(string().uuid().required())
    .min(1, 'Choose at least one member.')
    .max(mostMembers)
    .required(),
  start: string()
    .required('Choose a start date.')
    .test('day', 'This day does not exist.', (value) => isDay(value)),
  /** Whether each member starts on the first weekday that they usually train on, from the start on. */
  onUsualDay: boolean().optional(),
  /** Members who start on another day. */
  ownStarts: array()
    .of(
      object({
        member: string().uuid().required(),
        start: string()
          .required('Choose a day.')
          .test('day', 'This day does not exist.', (value) => isDay(value)),
      })
        .noUnknown()
        .required(),
    )
    .max(mostOwnDays, `At most ${mostOwnDays} members start on a day of their own.`)
    .optional(),
  note: string().max(2000, 'A note has at most 2,000 characters.').defined(),
  /** For those who are on the template already: with the next plan week that begins, or with the next session. */
  begins: mixed<'week' | 'session'>((value): value is 'week' | 'session' =>
    ['week', 'session'].includes(value as string),
  ).optional(),
  /** For those who are new to it: weeks that end when they are done, or on their dates. */
  clock: mixed<'own' | 'calendar'>((value): value is 'own' | 'calendar' =>
    ['own', 'calendar'].includes(value as string),
  ).optional(),
  /** A track for all of them; null for none; left out, everybody keeps theirs. */
  track: string().max(80).nullable().optional(),
  /** Tracks by rules: the first that a member fits gives theirs, and whoever fits none has what `track` says. */
  tracksByRule: array()
    .of(
      object({
        rule: ruleSchema().required(),
        track: string().max(80).nullable().defined(),
      })
        .noUnknown()
        .required(),
    )
    .max(8, 'At most 8 track rules.')
    .optional(),
  /** Members put on a track by hand, whatever rules say of them. */
  ownTracks: array()
    .of(
      object({
        track: string().max(80).nullable().defined(),
        members: array().of(string().uuid().required()).min(1).max(mostMembers).required(),
      })
        .noUnknown()
        .required(),
    )
    .max(mostOwnTracks)
    .optional(),
  /** Whether members may choose another track themselves. */
  choosesTrack: boolean().optional(),
  /** How many weeks ahead of the running one a member sees; left out, all of them. */
  opens: number().integer().min(0).max(52).optional(),
  /** Whether those who have the program start it over as a run of its own, in the place of changing over. */
  again: boolean().optional(),
  /** Whether other programs of these members go on beside this one, end as it starts, or are done first. */
  others: mixed<OthersBecome>((value): value is OthersBecome =>
    othersBecome.includes(value as OthersBecome),
  ).optional(),
  /** Whether new runs start from the last loads of the program before, in the place of first loads of their own. */
  carry: boolean().optional(),
  /** A publication that is taken back as this one comes into force. */
  replaces: string().uuid().optional(),
}).noUnknown()
export type Publish = InferType<typeof publishSchema>
export type TrackRule = NonNullable<Publish['tracksByRule']>[number]

/**
 * `preparing`: being filled in, and nothing of it counts; `withdrawn`: taken back, and it counts on for whoever had started under it; `cancelled`: called
 * off while it was prepared.
 */
export const publicationStates = ['preparing', 'inForce', 'withdrawn', 'cancelled'] as const
export type PublicationState = (typeof publicationStates)[number]

/** What was published, when, by whom, to how many, and what became of it. */
export type PublicationLine = {
  id: string
  template: string
  version: number
  note: string
  state: PublicationState
  madeBy: string
  madeAt: string
  /** Its first day: the one asked for, or the day on which it came into force. */
  start: string
  endedOn: string | null
  endedBy: string | null
  others: OthersBecome
  /** Members that it was asked for. */
  members: number
  /** Whether the asker may take it back. */
  isTheirs: boolean
}

/** With for how many members it is filled in so far, and how many have started a session under it: by the day on which it was taken back, or only after that. */
export type PublicationView = PublicationLine & { filled: number; started: number; late: number }

/** What a look finds of members, worst first. A member may be of several kinds. */
export const impactKinds = [
  'jump',
  'needs',
  'done',
  'findings',
  'short',
  'longer',
  'beside',
  'ends',
  'follows',
  'midWeek',
  'deload',
  'paused',
  'keepsTrack',
  'starts',
  'moves',
  'same',
] as const
export type ImpactKind = (typeof impactKinds)[number]

/** What publishing would do: how many of the members were looked at so far, and how many of those are of each kind. */
export type ImpactView = {
  id: string
  state: 'running' | 'done' | 'cancelled' | 'failed'
  /** The draft's revision that was looked at, and whether the draft has moved on. */
  revision: number
  hasMoved: boolean
  members: number
  looked: number
  kinds: { kind: ImpactKind; members: number }[]
}

/** What it would do to one member. */
export type ImpactLine = { id: string; name: string; impact: Impact }

export const lookedSchema = object({
  kind: mixed<ImpactKind>((value): value is ImpactKind =>
    impactKinds.includes(value as ImpactKind),
  ).required(),
  after: string()
    .matches(/^\d{1,6}$/)
    .optional(),
}).noUnknown()

/** A version that a member has changed over to of late, with the note of whoever published it. */
export type NewVersion = { version: number; from: string; note: string }

/** Who a publication reached. */
export type PublishedTo = {
  id: string
  name: string
  /** The first day of this member. */
  start: string
  hasStarted: boolean
  /** The first session that was started under it after it was taken back: it is stored, and moves nobody. */
  lateStart: string | null
}
