import type { SessionLog, SetLog } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import { record } from '../../offline/useOutbox.ts'
import type { AskedSet } from './askedSets.ts'

/** What was done in a set. */
export type Result = Pick<SetLog, 'state' | 'load' | 'reps'>

/** Records a set of a session; logged again it is a correction, under the next revision. */
export function recordSet(log: SessionLog, slot: PlannedSlot, asked: AskedSet, result: Result): void {
  const had = log.sets.find((set) => set.slot === slot.slot && set.n === asked.n)
  const { exercise, variant } = slot
  const set = { slot: slot.slot, n: asked.n, exercise, ...(variant && { variant }), ...result }
  record({ kind: 'set', session: log.id, rev: (had?.rev ?? 0) + 1, set })
}
