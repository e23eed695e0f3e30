import { kindOf } from '../goals/index.ts'
import type { Defaults, Phase, Session, SetPrescription } from './types.ts'

/**
 * A row with what its session and phase say for all of their slots, where a prescription says nothing of its own: the session's before the
 * phase's. Reserve and tempo are inherited by sets of reps, rest by whatever is not a task.
 */
export function inherit(
  row: SetPrescription[],
  session: Pick<Session, 'defaults'> | undefined,
  phase: Pick<Phase, 'defaults'>,
): SetPrescription[] {
  if (!session?.defaults && !phase.defaults) return row
  return row.map((prescribed) => ({ ...inherited(prescribed, session, phase), ...prescribed }))
}

/** What a prescription has from its session and phase, and not of its own. */
export function inherited(
  prescribed: SetPrescription,
  session: Pick<Session, 'defaults'> | undefined,
  phase: Pick<Phase, 'defaults'>,
): Defaults {
  const given = { ...phase.defaults, ...session?.defaults }
  const kind = kindOf(prescribed.goal)
  const isOfReps = kind.logs(prescribed.goal) === 'reps'
  const isTask = kind.logs(prescribed.goal) === 'done'
  return {
    ...(given.rir !== undefined && prescribed.rir === undefined && isOfReps && { rir: given.rir }),
    ...(given.tempo !== undefined && prescribed.tempo === undefined && isOfReps && { tempo: given.tempo }),
    ...(given.rest !== undefined && prescribed.rest === undefined && !isTask && { rest: given.rest }),
  }
}
