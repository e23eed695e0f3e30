import type { Situation } from '../state/situation.ts'
import { actsOn, isFor, slotSpot, weekSpot, type Adjustment } from '../../adjustments/index.ts'
import { hasPlace, type Place } from '../../calendar/index.ts'
import { type WhyStep, declareSteps } from '../../words/index.ts'
import type { RowClock, Slot } from '../../template/index.ts'
import { isDeload } from '../compile/changes.ts'
import { inPhase, type CompiledSlot } from '../compile/slot.ts'
import type { RowsTrained } from '../state/state.ts'

const say = declareSteps({
  'row.held': 'week {week} repeats the row of week {row}: the week before was not trained',
  'row.capped': 'capped at one step above the heaviest load trained in this phase, {heaviest}: {load}',
  'row.cappedFirst':
    'nothing is trained in this phase yet: capped at one step above its first row, {heaviest}: {load}',
})

export const rowMessages = say.messages

/** Which row a slot reads at a place, counted from 0, by the clock that its rows are on. */
export function rowAt(situation: Situation, own: CompiledSlot): number {
  const { rows } = inPhase(own, situation.place.phase.id)
  return rows.length <= 1 ? 0 : byClock[own.slot.by](situation, own, rows.length)
}

const byClock: Record<RowClock, (situation: Situation, own: CompiledSlot, count: number) => number> = {
  week: rowByWeek,
  exposure: ({ state, place }, own, count) =>
    (state.exposures[inPhase(own, place.phase.id).key] ?? 0) % count,
  day: ({ place }, _, count) => (place.inWeek - 1) % count,
  toTest: ({ place }, _, count) => Math.max(0, count - 1 - (place.toTest ?? 0)),
}

/**
 * The week's own row is read only if the last row before it that had a place outside a deload was trained, or missed weeks are dropped;
 * otherwise the row after the last one trained. So a load does not rise because the calendar moved although the week was missed, and a
 * deload, or a week without a day for the slot, takes nothing away from a row that waits.
 */
function rowByWeek(situation: Situation, own: CompiledSlot, count: number): number {
  const { template, state, place } = situation
  const row = Math.min(place.phaseWeek, count) - 1
  if (row === 0 || template.missed === 'drop') return row
  const known = state.rows[inPhase(own, place.phase.id).key]
  if (known?.week === place.week) return known.row
  const isTrained = (one: number) => known?.row === one || known?.before.includes(one) === true
  if (isTrained(row - 1)) return row
  let last = row - 1
  while (last >= 0 && !isTrained(last) && wasDeloadOrAway(situation, own, last + 1)) last -= 1
  if (last < 0 || isTrained(last)) return row
  let next = known ? Math.max(known.row, ...known.before) + 1 : 0
  while (next < row && wasDeloadOrAway(situation, own, next + 1)) next += 1
  return Math.min(row, next)
}

/** Whether a week of the phase, counted from 1, was light for the slot or had no place for it. */
function wasDeloadOrAway(
  { library, state, place, changes, evidence }: Situation,
  { id, slot }: CompiledSlot,
  phaseWeek: number,
): boolean {
  const { phase, session } = place
  const { deloadWeeks } = state.course
  if (deloadWeeks.length && deloadWeeks.includes(`${phase.id}/${phaseWeek}`)) return true
  const week = weekSpot(phase.id, phaseWeek, null)
  const spot = slotSpot(library, { ...week, session }, id, slot)
  // Planned deloads count also where those of the running week do not act.
  const whom = { track: state.course.running?.track ?? null, training: evidence.about.training }
  const acts = ({ where }: Adjustment) => where.weeks && isFor(where, whom) && actsOn(where, spot)
  if (phase.deloads.some(acts)) return true
  const acted = changes.filter(({ adjustment }) => adjustment.where.weeks && actsOn(adjustment.where, spot))
  if (acted.some((one) => isDeload(one) || one.adjustment.do.kind === 'drop')) return true
  return (
    !changes.some(({ adjustment }) => adjustment.do.kind === 'rotation') &&
    !hasPlace(phase, phaseWeek, session)
  )
}

/** Keeps that a row was trained in a week. */
export function trainedRow(known: RowsTrained | undefined, row: number, week: number): RowsTrained {
  if (!known) return { before: [], week, row }
  if (known.week === week) return known
  const earlier = week > known.week ? known.row : row
  const before = known.before.includes(earlier) ? known.before : [...known.before, earlier]
  return week > known.week ? { before, week, row } : { ...known, before }
}

const noSteps: readonly WhyStep[] = []

/** The rung of a row that is not its week's own and says something else: the week before was missed, so the plan waits. */
export function rowSteps({ by, rows }: Slot, place: Place, row: number): readonly WhyStep[] {
  const written = rows[place.phase.id] ?? []
  const own = Math.min(place.phaseWeek, written.length) - 1
  const isOwn = by !== 'week' || row >= own || written[row] === written[own]
  if (isOwn || JSON.stringify(written[row]) === JSON.stringify(written[own])) return noSteps
  return [say('row.held', { row: row + 1, week: place.phaseWeek })]
}
