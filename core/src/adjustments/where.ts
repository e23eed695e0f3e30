import { exerciseOf, liftKey, type Lift } from '../library/index.ts'
import type { Id, Where } from '../template/types.ts'
import type { Day } from '../units/index.ts'

/** A spot that an adjustment may act on: a week, and within it a session, and within it a slot. */
export type Spot = {
  phase: Id
  phaseWeek: number
  toTest?: number
  day?: Day
  session?: Id
  slot?: { id: Id; lift: Lift }
}

/** Whether an adjustment acts on a spot. What names a session or a slot never acts on the week or the session as a whole. */
export function actsOn(where: Where, { phase, phaseWeek, toTest, day, session, slot }: Spot): boolean {
  const { phases, weeks, days, sessions, slots, lifts, muscles } = where
  const fits = <T>(wanted: readonly T[] | undefined, test: (one: T) => boolean) =>
    !wanted || wanted.some(test)
  return (
    fits(phases, (id) => id === phase) &&
    fits(weeks, (week) => week === phaseWeek) &&
    fits(where.toTest, (weeksLeft) => weeksLeft === toTest) &&
    (!days || (day !== undefined && days.from <= day && day <= days.to)) &&
    fits(sessions, (id) => id === session) &&
    fits(slots, (id) => id === slot?.id) &&
    fits(lifts, (lift) => slot !== undefined && liftKey(lift) === liftKey(slot.lift)) &&
    fits(muscles, (muscle) => slot !== undefined && exerciseOf(slot.lift).works[0] === muscle)
  )
}
