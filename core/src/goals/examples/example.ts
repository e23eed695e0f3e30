import type { Done, GoalKind } from '../goal.ts'

/** A goal as its cell says it, and whether what was done meets it. A phone does not load these. */
export type GoalExample<G> = { say: string; goal: G; cell: string; done: Done[]; meets: boolean }

export const defineExamples = <G>(_: GoalKind<G>, examples: GoalExample<G>[]): GoalExample<G>[] => examples
