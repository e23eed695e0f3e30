import { hasPlace, type Place } from '../calendar/places.ts'
import type { Rung } from '../explain/rung.ts'
import { liftKey } from '../library/index.ts'
import type { Adjustment, Id, Slot, Template } from '../template/types.ts'
import { rowsKey, type FoldState } from './state.ts'

/**
 * Which row by week a slot reads at a place, from 0. The week's own row is read only if the row before it was trained, was
 * a light week, had no place for this slot, or missed weeks are dropped; otherwise the row after the last one trained. So
 * a load does not rise because the calendar moved although the week was missed.
 */
export function rowAt(template: Template, state: FoldState, place: Place, id: Id, slot: Slot): number {
  const row = place.phaseWeek - 1
  if (row === 0 || template.missed === 'drop') return row
  const trained = state.rows[rowsKey(place.phase.id, id)] ?? []
  const before = row - 1
  if (trained.includes(before) || !hasPlace(place.phase, row, place.session)) return row
  if (lightAt(place, row, id, slot).length) return row
  return trained.length ? Math.min(row, Math.max(...trained) + 1) : 0
}

/** The rung of a row that is not its week's own: the week before was missed, so the plan waits. */
export function rowRungs(place: Place, row: number): Rung[] {
  if (row === place.phaseWeek - 1) return []
  return [{ id: 'row.held', data: { row: row + 1, week: place.phaseWeek } }]
}

export const rowMessages = {
  'row.held': 'week {row} of the phase, read again in week {week}: the week before was not trained',
}

/** The light-week adjustments that act on a slot in a week of the phase, counted from 1. */
export function lightAt(place: Place, phaseWeek: number, id: Id, slot: Slot): Adjustment[] {
  return place.phase.light.filter(
    ({ where }) =>
      where.weeks?.includes(phaseWeek) &&
      (where.sessions?.includes(place.session) ?? true) &&
      (where.slots?.includes(id) ?? true) &&
      (where.lifts?.some((lift) => liftKey(lift) === liftKey(slot)) ?? true),
  )
}
