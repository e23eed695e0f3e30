import { liftKey } from '../library/index.ts'
import type { WhyStep } from '../words/index.ts'
import type { ShownSets } from '../member/index.ts'
import { showMessages, type Plan, type PlannedSession, type PlannedSlot } from '../plan/index.ts'

/** Where a lift of a session comes next, what is asked there, and what moved it. */
export type ComesNext = {
  slot: PlannedSlot
  then: { position: number; week: number; inWeek: number; name: string; sets: ShownSets[] } | null
  reason: WhyStep | null
}

/** The last rung before rounding and plates. */
const reasonOf = (why: WhyStep[]): WhyStep | null => why.findLast(({ id }) => !(id in showMessages)) ?? null

/** For each slot of a session with a computed load: its lift's next place in the plan, and the rung that says why. */
export function comesNext(plan: Plan, session: PlannedSession): ComesNext[] {
  const later = plan.weeks.flatMap(({ week, places }) =>
    places
      .filter(({ status }) => status === 'next' || status === 'ahead')
      .map((place) => ({ ...place, week })),
  )
  return session.slots
    .filter(({ sets: prescriptions }) => prescriptions.some(({ load }) => load))
    .map((slot) => {
      for (const { position, week, inWeek, name, slots } of later) {
        const same = slots.find(
          (one) =>
            liftKey(one) === liftKey(slot) &&
            (one.sets[0]?.ruled !== undefined) === (slot.sets[0]?.ruled !== undefined),
        )
        if (!same) continue
        const reason = reasonOf(same.sets[0]?.why ?? [])
        return { slot, then: { position, week, inWeek, name, sets: same.sets }, reason }
      }
      return { slot, then: null, reason: null }
    })
}
