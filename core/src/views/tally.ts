import type { Library } from '../library/index.ts'
import type { Id } from '../parsing/index.ts'
import { kindOf } from '../goals/index.ts'
import { estimate, defaultFormula } from '../maxes/index.ts'
import type { Template } from '../template/index.ts'
import { addLoad, highest, inUnit, scale, snap, type Load } from '../units/index.ts'
import { minutesOf } from './minutes.ts'
import { totalOf, type Plan, type PlannedSlot } from '../plan/index.ts'

/** What a slot comes to in a week of a plan. */
export type WeekTally = {
  week: number
  sets: number
  reps: number
  /** Reps times load, body weight included where it is lifted; null where nothing has a load. */
  tonnage: Load | null
  /** Minutes of the sessions that the slot stands in. */
  minutes: number
  /** The set nearest to the limit: the max that its load and reps stand for, in percent of the member's; 100 is all they have. */
  nearness: number | null
}

/** Sums up one slot over the weeks of a plan, for two ways of loading it to be compared. `max` is the lift's max in force. */
export function tallyOf(
  library: Library,
  template: Template,
  { weeks }: Plan,
  slot: Id,
  max: Load | null,
): WeekTally[] {
  return weeks.flatMap(({ week, places }) => {
    const own = places.filter(({ slots }) => slots.some((one) => one.slot === slot))
    if (!own.length) return []
    const slots = own.flatMap((place) => place.slots.filter((one) => one.slot === slot))
    return [
      {
        week,
        ...sumOf(slots),
        minutes: own.reduce(
          (sum, place) => sum + minutesOf(library, template, place.session, place.slots),
          0,
        ),
        nearness: max && nearest(slots, max),
      },
    ]
  })
}

function sumOf(slots: PlannedSlot[]): Pick<WeekTally, 'sets' | 'reps' | 'tonnage'> {
  let [sets, reps] = [0, 0]
  let tonnage: Load | null = null
  for (const prescribed of slots.flatMap(({ sets: prescriptions }) => prescriptions)) {
    const each = highest(
      (prescribed.goal ? kindOf(prescribed.goal).reps(prescribed.goal) : prescribed.reps) ?? 0,
    )
    const whole =
      prescribed.goal && 'totalReps' in prescribed.goal ? prescribed.goal.totalReps : prescribed.sets * each
    sets += prescribed.sets
    reps += whole
    const load = totalOf(prescribed, prescribed)
    if (load && whole) {
      const more = scale(load, (prescribed.perSide ? 200 : 100) * whole)
      tonnage = tonnage ? addLoad(tonnage, more) : more
    }
  }
  return { sets, reps, tonnage }
}

/** By the default formula. Sets that no formula takes say nothing. */
function nearest(slots: PlannedSlot[], max: Load): number | null {
  const seen = slots.flatMap(({ sets: prescriptions }) =>
    prescriptions.flatMap((prescribed) => {
      const load = totalOf(prescribed, prescribed)
      const reps = highest(
        (prescribed.goal ? kindOf(prescribed.goal).reps(prescribed.goal) : prescribed.reps) ?? 0,
      )
      if (!load || !reps) return []
      const stands = estimate(load, reps, defaultFormula, 0)
      return stands ? [inUnit(stands, max.unit).value] : []
    }),
  )
  return seen.length && max.value ? snap((100 * Math.max(...seen)) / max.value) : null
}
