import type { Id } from '../parsing/index.ts'
import { mainMuscle, liftKey, type Lift, type Muscle, type Library } from '../library/index.ts'
import type { Day } from '../units/index.ts'

/** How long somebody has trained with weights. */
export const trainingAges = ['underOneYear', 'oneToThreeYears', 'overThreeYears'] as const
export type TrainingAge = (typeof trainingAges)[number]

/**
 * Absent means everywhere. `weeks` counts within the phase, from 1, and `inWeek` days of the week, from 1; `toTest` counts weeks to the test day.
 * A deload may be for members on some tracks, `none` for those on no track, or of some training ages, `untold` where it is not known.
 */
export type Where = {
  phases?: Id[]
  weeks?: number[]
  inWeek?: number[]
  tracks?: Id[]
  training?: (TrainingAge | 'untold')[]
  toTest?: number[]
  days?: { from: Day; to: Day }
  sessions?: Id[]
  slots?: Id[]
  lifts?: Lift[]
  muscles?: Muscle[]
}

/** A spot that an adjustment may act on: a week, and within it a session, and within it a slot. */
export type Spot = {
  phase: Id
  phaseWeek: number
  toTest?: number | undefined
  inWeek?: number | undefined
  day?: Day | undefined
  session?: Id | undefined
  /** `muscle` is the one that the lift works main. */
  slot?: { id: Id; lift: Lift; muscle: Muscle | undefined } | undefined
}

// Spots are made for every slot of a plan: all of one shape.

/** A week of a phase as a whole; null of a phase without a test day. */
export const weekSpot = (phase: Id, phaseWeek: number, toTest: number | null): Spot => ({
  phase,
  phaseWeek,
  toTest: toTest ?? undefined,
  inWeek: undefined,
  day: undefined,
  session: undefined,
  slot: undefined,
})

/** A slot of a spot, with the lift that it has there. */
export const slotSpot = (
  library: Library,
  { phase, phaseWeek, toTest, inWeek, day, session }: Spot,
  id: Id,
  lift: Lift,
): Spot => ({
  phase,
  phaseWeek,
  toTest,
  inWeek,
  day,
  session,
  slot: { id, lift, muscle: mainMuscle(library, lift) },
})

/** Whether an adjustment acts on a spot. What names a session or a slot never acts on the week or the session as a whole. */
export function actsOn(where: Where, spot: Spot): boolean {
  const { slots, lifts, muscles } = where
  const { slot } = spot
  if (!mayAct(where, spot)) return false
  if (!slots && !lifts && !muscles) return true
  if (!slot) return false
  return (
    (!slots || slots.includes(slot.id)) &&
    (!lifts || lifts.some((lift) => liftKey(lift) === liftKey(slot.lift))) &&
    (!muscles || (slot.muscle !== undefined && muscles.includes(slot.muscle)))
  )
}

/** Whether it acts on anything of a week. */
export const actsInWeek = ({ phases, weeks, toTest, days }: Where, spot: Spot): boolean =>
  mayAct({ phases, weeks, toTest, days }, spot)

/** Whether it acts on some slot of a week or session, so far as those alone can tell. */
export function mayAct(where: Where, { phase, phaseWeek, toTest, inWeek, day, session }: Spot): boolean {
  const { phases, weeks, days, sessions } = where
  return (
    (!where.inWeek || (inWeek !== undefined && where.inWeek.includes(inWeek))) &&
    (!phases || phases.includes(phase)) &&
    (!weeks || weeks.includes(phaseWeek)) &&
    (!where.toTest || (toTest !== undefined && where.toTest.includes(toTest))) &&
    (!days || (day !== undefined && days.from <= day && day <= days.to)) &&
    (!sessions || (session !== undefined && sessions.includes(session)))
  )
}

/** Whom deloads are for: the track that somebody is on, and the training age that they have told. */
export type Whom = { track: Id | null; training?: TrainingAge | undefined }

/** Whether an adjustment is for somebody. */
export const isFor = ({ tracks, training }: Where, whom: Whom): boolean =>
  (!tracks || tracks.includes(whom.track ?? 'none')) &&
  (!training || training.includes(whom.training ?? 'untold'))
