import type { Draft } from '../adjustments/change.ts'
import { changeOf } from '../adjustments/registry.ts'
import type { Adjustment } from '../template/types.ts'

/** Applies the adjustments in order, after the rule and outside its state. */
export function adjust(draft: Draft, adjustments: Adjustment[]): Draft {
  return adjustments.reduce((changed, { do: change }) => changeOf[change.kind].apply(changed, change), draft)
}
