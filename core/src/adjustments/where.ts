import type { Id } from '../parsing/index.ts'
import { mainMuscle, liftKey, type Lift, type Muscle, type Library } from '../library/index.ts'
import type { Day } from '../units/index.ts'

/** Absent means everywhere. `weeks` counts within the phase, from 1; `toTest` counts weeks to the test day. */
export type Where = {
  phases?: Id[]
  weeks?: number[]
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
  toTest?: number
  day?: Day
  session?: Id
  /** `muscle` is the one that the lift works main. */
  slot?: { id: Id; lift: Lift; muscle: Muscle }
}

/** A slot with the lift that it has at a spot, as adjustments see it. */
export const slotWith = (library: Library, id: Id, lift: Lift): NonNullable<Spot['slot']> => ({
  id,
  lift,
  muscle: mainMuscle(library, lift),
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
    (!muscles || muscles.includes(slot.muscle))
  )
}

/** Whether it acts on some slot of a week or session, so far as those alone can tell. */
export function mayAct(where: Where, { phase, phaseWeek, toTest, day, session }: Spot): boolean {
  const { phases, weeks, days, sessions } = where
  return (
    (!phases || phases.includes(phase)) &&
    (!weeks || weeks.includes(phaseWeek)) &&
    (!where.toTest || (toTest !== undefined && where.toTest.includes(toTest))) &&
    (!days || (day !== undefined && days.from <= day && day <= days.to)) &&
    (!sessions || (session !== undefined && sessions.includes(session)))
  )
}
