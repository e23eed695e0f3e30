import type { LastExposure } from '../progressions/index.ts'
import type { Day } from '../units/index.ts'
import type { CompiledUse } from './compile/slot.ts'
import type { Fold } from './state/fold.ts'
import type { FoldState } from './state/state.ts'

/**
 * Gives enrolments that have begun by a day the last loads of those whose loads they carry, as these stand now: never their counters. Once a fold has
 * them they stay as they are.
 */
export function carryLoads(folds: readonly Fold[], day: Day): void {
  for (const { enrolment, state } of folds) {
    const { carries, segments } = enrolment
    if (carries === undefined || state.carried || (segments[0]?.from ?? '') > day) continue
    const from = folds.find((one) => one.enrolment.id === carries)
    state.carried = from ? lastLoads(from.state) : {}
  }
}

/** The last load of each lift, by what progressions keep their state of it by. */
function lastLoads({ progressions, carried }: FoldState): Record<string, LastExposure> {
  const loads: Record<string, LastExposure> = { ...carried }
  for (const [key, { last }] of Object.entries(progressions)) {
    const lift = liftIn(key)
    const before = loads[lift]
    if (lift && last && (!before || isLater(last, before))) loads[lift] = { ...last, isCarried: true }
  }
  return loads
}

const isLater = (one: LastExposure, before: LastExposure): boolean => (one.date ?? '') >= (before.date ?? '')

/** The lift in a key of progressions; none of one that counts a muscle's sets. */
function liftIn(key: string): string {
  const at = key.indexOf('/')
  return at < 0 ? '' : key.slice(at + 1)
}

/** What a progression that starts goes on from: its last load under another stage, or one that is carried. */
export const lastOf = (
  state: FoldState,
  use: CompiledUse,
  running: { last: LastExposure | null } | undefined,
): LastExposure | null => running?.last ?? (state.carried && (state.carried[liftIn(use.key)] ?? null))
