import { sizeOf } from '../units/index.ts'
import type { Done } from './goal.ts'
import { kindOf, type Goal } from './registry.ts'

/** What sets come to in all, in what the goal logs: reps, or an amount in its unit. */
export function doneInAll(goal: Goal, done: readonly Done[]): number {
  const unit = kindOf(goal).logs(goal)
  return done.reduce((sum, { reps = 0, amount }) => {
    if (unit === 'reps') return sum + reps
    if (!amount || unit === 'done') return sum
    return sum + (amount.value * sizeOf(amount.unit)) / sizeOf(unit)
  }, 0)
}

/** Whether sets that are judged together reach the goal. */
export const isReachedInAll = (goal: Goal, done: readonly Done[]): boolean =>
  doneInAll(goal, done) >= (kindOf(goal).inAll?.(goal) ?? 0) - 0.0001
