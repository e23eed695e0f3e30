import type { Id } from '../parsing/index.ts'
import type { Lift } from '../library/index.ts'
import {
  slotsOf,
  type Section,
  type Session,
  type Slot,
  type SlotRotation,
  type Template,
} from '../template/index.ts'
import { placesOf, type Place } from './places.ts'

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

/** The lift that has a slot at a place as it is laid out on paper, where each of its sessions before is an exposure. */
export function liftOnPaper(template: Template, place: Place, slot: Slot): Lift {
  const { rotation: turns } = slot
  if (!turns) return slot
  const isBefore = ({ position, session }: Place) => position < place.position && session === place.session
  const exposures = turns.by === 'exposure' ? placesOf(template).filter(isBefore).length : 0
  return turnOf(template, place, turns, exposures) ?? slot
}

/** Nothing where it is the turn of the slot’s own lift. `exposures` are those of the slot in the plan. */
export function turnOf(
  { phases }: Pick<Template, 'phases'>,
  place: Pick<Place, 'phase' | 'phaseWeek' | 'inWeek'>,
  { with: others, by, every }: SlotRotation,
  exposures: number,
): Lift | undefined {
  const count: Record<SlotRotation['by'], number> = {
    week: place.phaseWeek - 1,
    day: place.inWeek - 1,
    exposure: exposures,
    phase: Math.max(
      0,
      phases.findIndex(({ id }) => id === place.phase.id),
    ),
  }
  return others[(Math.floor(count[by] / every) % (others.length + 1)) - 1]
}
