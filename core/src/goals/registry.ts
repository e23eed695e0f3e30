import type { GoalKind } from './goal.ts'
import * as goals from './kinds.ts'

export type GoalKey = keyof typeof goals
type GoalOf<K extends GoalKey> = (typeof goals)[K] extends GoalKind<infer G> ? G : never

/** How a template says what each set is to reach: `{"reps": 5}`, `{"seconds": 45}`. */
export type Goal = { [K in GoalKey]: GoalOf<K> }[GoalKey]
/** A goal that is not plain reps. */
export type OtherGoal = { [K in Exclude<GoalKey, 'reps'>]: GoalOf<K> }[Exclude<GoalKey, 'reps'>]

export const goalOf = { ...goals } as unknown as Record<GoalKey, GoalKind<Goal>>
export const goalKeys = Object.keys(goals) as GoalKey[]

/** The key that names a goal, of those that it has. `most` goes before `seconds`, which it has as well. */
export const keyOf = (goal: object): GoalKey | undefined => order.find((key) => key in goal)

const order: GoalKey[] = ['reps', 'most', ...goalKeys.filter((key) => key !== 'reps' && key !== 'most')]

export function kindOf(goal: Goal): GoalKind<Goal> {
  const key = keyOf(goal)
  if (!key) throw new Error(`unknown goal "${Object.keys(goal).join(', ')}"`)
  return goalOf[key]
}
