import { day } from './fields.ts'
import type { NewVersion } from './publications.ts'
import { array, mixed, object, string, type InferType } from 'yup'
import type { DeloadPolicy } from '@young-oak/core/template'
import type { Offer } from '@young-oak/core/plan'
import type { Advice } from '@young-oak/core/advice'
import type { Lift } from '@young-oak/core/library'
import type { CheckIn, EndReason, EventKind, DeloadFact, Pause } from '@young-oak/core/facts'
import type { Evidence } from '@young-oak/core/evidence'
import type {
  Block,
  LoadWeek,
  MaxKnown,
  Seen,
  Target,
  TotalTarget,
  TrialResult,
} from '@young-oak/core/trends'
import type { Day, Unit } from '@young-oak/core/units'

/** A fact as it is entered; what it holds is read by the engine, and dated by the day. */
export const givenFactSchema = object({
  fact: mixed<object>().required('Say what it is.'),
  today: day().required(),
}).noUnknown()
export type GivenFact = InferType<typeof givenFactSchema>

/** Of these kinds one may be entered for several members at once: of everything they do, or of the run of one template that each of them is on. */
const manyKinds = ['pause', 'event', 'deload'] as const
const kindsOfRuns = ['pause', 'endEnrolment', 'track'] as const
const mostOfMany = 20_000
export const factForManySchema = object({
  members: array().of(string().uuid().required()).min(1, 'Choose members.').max(mostOfMany).required(),
  /** Whose runs it is about: it is entered for each member’s own, and not for members who are on none. */
  template: string().uuid().optional(),
  fact: mixed<object>()
    .required('Say what it is.')
    .test(
      'kind',
      `For several members at once: ${manyKinds.join(', ')}; of one template: ${kindsOfRuns.join(', ')}.`,
      (fact, { parent }) => {
        const { kind, enrolment } = (fact ?? {}) as { kind?: string; enrolment?: unknown }
        const kinds: readonly string[] = (parent as { template?: string }).template ? kindsOfRuns : manyKinds
        return enrolment === undefined && kinds.includes(String(kind))
      },
    ),
  today: day().required(),
}).noUnknown()
export type FactForMany = InferType<typeof factForManySchema>

/** Entries of several members, by which they are taken back. */
const entriesOfMany = object({
  rows: array()
    .of(
      object({ member: string().uuid().required(), id: string().max(80).required() })
        .noUnknown()
        .required(),
    )
    .min(1)
    .max(mostOfMany)
    .required(),
})
export type EntriesOfMany = InferType<typeof entriesOfMany>
export const takenBackSchema = entriesOfMany.shape({ today: day().required() }).noUnknown()

/** How a member does: what the advisor says and goes by, lifts with goals, trials, and what they have said of themselves. */
export type ProgressView = {
  unit: Unit
  programs: {
    enrolment: string
    name: string
    policy: DeloadPolicy
    advice: Advice
    phase?: string
    /** The track of the running week, and what there is to choose from. */
    track: string | null
    tracks: { id: string; name: string }[]
    /** Whether the member may choose; a writer always may. */
    choosesTrack: boolean
    /** Exercises that a slot offers, its own first, with the one that is trained. */
    choices: { slot: string; session: string; of: Lift[]; chosen: Lift }[]
    paused?: Pause
    changed?: NewVersion
  }[]
  /** Programs that begin once another is over: both by name. */
  following: { enrolment: string; name: string; after: string }[]
  offers: Offer[]
  /** `max` is the newest accepted one. */
  lifts: { lift: Lift; seen: Seen[]; targets: Target[]; max?: MaxKnown }[]
  /** Goals for several lifts together. */
  totals: TotalTarget[]
  /** How hard the last weeks were by what was said after sessions, the running one last. */
  load: LoadWeek[]
  /** Blocks of the member's programs that are not over: a goal may be for one. */
  blocks: Block[]
  /** Goals that do not fit each other. */
  misfits: string[]
  trials: {
    id: string
    name: string
    differs: string
    first: { from: Day; to: Day }
    second: { from: Day; to: Day }
    result: TrialResult
    decision?: Evidence['decisions'][string]
  }[]
  checkIn: (CheckIn & { date: Day }) | null
  about: Evidence['about']
  /** What the profile says beside that. */
  profile: Pick<Evidence, 'levels' | 'days' | 'priorities' | 'enjoys' | 'askFirst'>
  events: { id: string; what: EventKind; name?: string; on: Day; to?: Day; lifts?: Lift[] }[]
  /** Light spells that were asked for and are not over, with what they change in words; `begun` where they can only be ended. */
  spells: {
    begun: boolean
    id: string
    from: Day
    weeks: number
    back: number[]
    reason?: DeloadFact['reason']
    says: string
  }[]
  /** Programs that somebody has ended, by the entry that says so. */
  endings: { id: string; name: string; on: Day; reason?: EndReason }[]
  /** The most sets of a muscle a week that the member has set. */
  mostSets: Evidence['mostSets']
  /** Answers that were taken or left in the last week. */
  taken: Evidence['adviceTaken']
}
