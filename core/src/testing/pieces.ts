import { expect } from '@jest/globals'
import { planMember, type Checkpoint, type PlanInput, type Planned, type When } from '../plan/index.ts'
import type { Day } from '../units/index.ts'

/** The plans of a day, as they were known on it: sessions up to `since` are left out. */
export function plannedOn(whole: PlanInput, when: When, checkpoint?: Checkpoint | null, since = ''): Planned {
  const logs = whole.member.logs.filter(({ date }) => date <= when.today && date > since)
  return planMember(
    { ...whole, member: { ...whole.member, logs }, when },
    checkpoint && (JSON.parse(JSON.stringify(checkpoint)) as Checkpoint),
  )
}

/** Expects that plans of each day are the same from the checkpoint of any earlier one. Says how often a checkpoint held. */
export function planInPieces(whole: PlanInput, days: readonly Day[]): number {
  let resumed = 0
  for (const through of ['near', 'next'] as const)
    for (const early of days)
      for (const today of days.filter((day) => day > early)) {
        const { checkpoint } = plannedOn(whole, { today: early, through })
        if (!checkpoint) continue
        const when = { today, through }
        const { plans, evidence, isResumed } = plannedOn(whole, when, checkpoint)
        const { plans: inOne, evidence: known } = plannedOn(whole, when)
        expect([today, plans, evidence]).toEqual([today, inOne, known])
        if (!isResumed) continue
        resumed += 1
        // Sessions up to the checkpoint are not read again.
        expect(plannedOn(whole, when, checkpoint, checkpoint.through).plans).toEqual(inOne)
      }
  return resumed
}
