import { loadingAt, type Evidence } from '@young-oak/core/evidence'
import type { Library } from '@young-oak/core/library'
import type { SessionLog } from '@young-oak/core/member'
import { followToday, type PlannedSession, type PlannedSlot } from '@young-oak/core/plan'

/** Back-offs and drops follow what this phone has logged, before the server knows of it. */
export function followLogged(
  library: Library,
  session: PlannedSession,
  log: SessionLog,
  evidence: Evidence,
): PlannedSession {
  if (!session.slots.some(({ sets }) => sets.some(({ today }) => today))) return session
  const asked = session.slots.map(({ slot, exercise, variant, sets: prescriptions }) => ({
    slot,
    lift: { exercise, ...(variant && { variant }) },
    prescriptions,
    sets: log.sets.filter((set) => set.slot === slot),
  }))
  const lifts = new Map(session.slots.map((slot) => [slot.slot, slot]))
  const followed = followToday(asked, (id) =>
    loadingAt(library, evidence, log.location, lifts.get(id) as PlannedSlot),
  )
  return {
    ...session,
    slots: session.slots.map((slot, i) => ({ ...slot, sets: followed[i] ?? slot.sets })),
  }
}
