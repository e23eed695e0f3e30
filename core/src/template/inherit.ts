import { kindOf } from '../goals/index.ts'
import { rirIn } from './rirRamp.ts'
import type { Phase, Session, SetPrescription } from './types.ts'

/**
 * A row with what its session and phase say for all of their slots, where a prescription says nothing of its own: the session's before the
 * phase's. RIR and tempo are inherited by sets of reps, rest by whatever is not a task. `week` is that of the phase, from 1, by which RIR may fall.
 */
export function inherit(
  row: SetPrescription[],
  session: Pick<Session, 'defaults'> | undefined,
  phase: Pick<Phase, 'defaults' | 'weeks'>,
  week: number,
): SetPrescription[] {
  if (!session?.defaults && !phase.defaults) return row
  return row.map((prescribed) => ({ ...inherited(prescribed, session, phase, week), ...prescribed }))
}

/** Whether what is inherited differs from week to week. */
export const inheritsByWeek = (
  session: Pick<Session, 'defaults'> | undefined,
  phase: Pick<Phase, 'defaults'>,
): boolean => typeof (session?.defaults?.rir ?? phase.defaults?.rir) === 'object'

/** What a prescription has from its session and phase in one week. */
export type Inherited = Pick<SetPrescription, 'rir' | 'rest' | 'tempo'>

/** What a prescription has from its session and phase, and not of its own. */
export function inherited(
  prescribed: SetPrescription,
  session: Pick<Session, 'defaults'> | undefined,
  phase: Pick<Phase, 'defaults' | 'weeks'>,
  week: number,
): Inherited {
  const given = { ...phase.defaults, ...session?.defaults }
  const kind = kindOf(prescribed.goal)
  const isOfReps = kind.logs(prescribed.goal) === 'reps'
  const isTask = kind.logs(prescribed.goal) === 'done'
  return {
    ...(given.rir !== undefined &&
      prescribed.rir === undefined &&
      isOfReps && { rir: typeof given.rir === 'object' ? rirIn(given.rir, phase, week) : given.rir }),
    ...(given.tempo !== undefined && prescribed.tempo === undefined && isOfReps && { tempo: given.tempo }),
    ...(given.rest !== undefined && prescribed.rest === undefined && !isTask && { rest: given.rest }),
  }
}
