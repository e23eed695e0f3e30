import type { SessionLog } from '@young-oak/core/member'
import type { PlannedSlot } from '@young-oak/core/plan'
import { record } from '../../offline/useOutbox.ts'
import type { AskedSet } from './askedSets.ts'
import type { Result } from './setDraft.ts'

/** Records a set of a session; logged again it is a correction, under the next revision. */
export function recordSet(log: SessionLog, slot: PlannedSlot, asked: AskedSet, result: Result): void {
  const had = log.sets.find((set) => set.slot === slot.slot && set.n === asked.n)
  const { exercise, variant } = slot
  const { bands, style } = asked.prescribed
  const lift = { exercise, ...(variant && { variant }) }
  const set = {
    slot: slot.slot,
    n: asked.n,
    ...lift,
    ...(bands && { bands }),
    ...(style && { style }),
    ...result,
  }
  const start = log.change !== undefined && { start: log.change }
  record({ kind: 'set', session: log.id, rev: (had?.rev ?? 0) + 1, ...start, set })
}
