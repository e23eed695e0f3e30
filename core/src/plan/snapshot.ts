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
export const placeIn = ({ phase, phaseWeek, inserted }: PlannedWeek, inWeek: number): PlaceName => ({
  phase,
  week: phaseWeek,
  day: inWeek,
  ...(inserted && { deload: inserted }),
})

function shownSlots(session: PlannedSession): Record<Id, ShownSlot> {
  return Object.fromEntries(
    session.slots.map(({ slot, exercise, variant, deload, circuit, warmUps, sets }) => [
      slot,
      {
        exercise,
        ...(variant && { variant }),
        ...(deload && { deload: true as const }),
        ...(circuit && { circuit }),
        ...(warmUps && { warmUps }),
        sets,
      },
    ]),
  )
}
