import type { Id } from '../parsing/index.ts'
import type { Lift } from '../library/index.ts'
import { slotsOf, type Section, type Session, type SlotRotation, type Template } from '../template/index.ts'
import type { Place } from './places.ts'

/** The slots of a session in the order of a place: parts whose slots take turns have moved up so many places. */
export function inTurn(session: Session, { phaseWeek, inWeek }: Pick<Place, 'phaseWeek' | 'inWeek'>): Id[] {
  if (!session.sections.some(({ rotation: turns }) => turns)) return slotsOf(session)
  return session.sections.flatMap((part) => partInTurn(part, { phaseWeek, inWeek }))
}

/** The slots of one part at a place. */
export function partInTurn(
  { slots, rotation: turns }: Section,
  { phaseWeek, inWeek }: Pick<Place, 'phaseWeek' | 'inWeek'>,
): Id[] {
  if (!turns) return slots
  const count = Math.floor(((turns.by === 'week' ? phaseWeek : inWeek) - 1) / turns.every) % slots.length
  return [...slots.slice(count), ...slots.slice(0, count)]
}

/** Nothing where it is the turn of the slot’s own lift. */
export function turnOf(
  { phases }: Pick<Template, 'phases'>,
  place: Pick<Place, 'phase' | 'phaseWeek' | 'inWeek'>,
  { with: others, by, every }: SlotRotation,
): Lift | undefined {
  const count: Record<SlotRotation['by'], number> = {
    week: place.phaseWeek - 1,
    day: place.inWeek - 1,
    phase: Math.max(
      0,
      phases.findIndex(({ id }) => id === place.phase.id),
    ),
  }
  return others[(Math.floor(count[by] / every) % (others.length + 1)) - 1]
}
