export type { Amrap } from './reps.ts'
export { type Goal, type GoalKey, goalKeys, goalOf, keyOf, kindOf, type OtherGoal } from './registry.ts'
export { goalShapes } from './shapes/index.ts'
