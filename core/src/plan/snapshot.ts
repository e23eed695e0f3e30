import type { Id } from '../parsing/index.ts'
import { engine } from '../engine.ts'
import { shownFormat, type PlaceName, type Shown, type ShownSlot } from '../member/index.ts'
import type { Plan, PlannedSession, PlannedWeek } from './types.ts'

/** The snapshot of a session as it stands on the screen: stored when it is started, and what it is judged by ever after. */
export function snapshot(plan: Plan, position: number): Shown | null {
  for (const { phase, week, phaseWeek, inserted = null, toTest, version, places } of plan.weeks) {
    const session = places.find((place) => place.position === position)
    if (!session) continue
    const { inWeek, session: id } = session
    const toGo = toTest !== undefined && { toTest }
    const at = { phase, week, phaseWeek, inWeek, session: id, deload: inserted, ...toGo }
    return { format: shownFormat, engine, version, at, slots: shownSlots(session) }
  }
  return null
}

/** The name of a day of a week, as snapshots made there say it. */
export function placeIn({ phase, phaseWeek, inserted }: PlannedWeek, inWeek: number): PlaceName {
  const place = { phase, week: phaseWeek, day: inWeek }
  return inserted ? { ...place, deload: inserted } : place
}

function shownSlots(session: PlannedSession): Record<Id, ShownSlot> {
  const shown: Record<Id, ShownSlot> = {}
  for (const { slot, exercise, variant, deload, circuit, warmUps, sets } of session.slots) {
    const own: ShownSlot = { exercise, sets }
    if (variant) own.variant = variant
    if (deload) own.deload = true
    if (circuit) own.circuit = circuit
    if (warmUps) own.warmUps = warmUps
    shown[slot] = own
  }
  return shown
}
