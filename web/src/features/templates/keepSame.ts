import type { PlannedWeek } from '@young-oak/core/plan'

/**
 * Weeks as they came from the worker, with every slot that says the same as before kept as the same object: what did not change is not
 * drawn anew.
 */
export function keepSame(was: PlannedWeek[], now: PlannedWeek[]): PlannedWeek[] {
  const known = new Map(
    was
      .flatMap(({ places }) => places)
      .flatMap(({ position, slots }) => slots.map((slot) => [`${position}/${slot.slot}`, slot])),
  )
  return now.map((week) => ({
    ...week,
    places: week.places.map((place) => ({
      ...place,
      slots: place.slots.map((slot) => {
        const before = known.get(`${place.position}/${slot.slot}`)
        return before && JSON.stringify(before) === JSON.stringify(slot) ? before : slot
      }),
    })),
  }))
}
