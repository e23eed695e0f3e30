import { keyOf } from '../goals/registry.ts'
import type { SetGroup } from '../template/types.ts'
import { takesScheme } from '../template/computed.ts'
import type { Asked } from './progress.ts'

/** A row with the sets and the goal that a rule puts in place of what is written, in the groups that are the rule's to write. */
export function withScheme(row: SetGroup[], { goal, sets }: Asked): SetGroup[] {
  if (!goal) return row
  return row.map((group) => {
    if (!takesScheme(row, group) || keyOf(group.goal) !== keyOf(goal)) return group
    const { least, ...rest } = group
    const count = sets ?? group.sets
    return { ...rest, goal, sets: count, ...(least !== undefined && least < count && { least }) }
  })
}
