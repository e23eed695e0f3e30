import type { ShownSets } from '../../member/index.ts'
import { isDeload } from '../compile/changes.ts'
import { prescribe } from '../prescribe/prescribe.ts'
import { withChanges } from '../replay/replay.ts'
import type { Situation } from '../state/situation.ts'

/** What a slot of a deload stands in for: the same place as it would be without the deload, by slot. */
export function withoutDeload(situation: Situation): Map<string, ShownSets[]> {
  const changes = situation.changes.filter((one) => !isDeload(one))
  const { slots } = prescribe(withChanges(situation, changes))
  return new Map(slots.map(({ id, prescriptions }) => [id, prescriptions]))
}
