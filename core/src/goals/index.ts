export { type Goal, goalKeys, goalOf, keyOf, kindOf, type OtherGoal } from './registry.ts'
