import type { Goal, GoalKey } from '../registry.ts'
import type { GoalExample } from './example.ts'
import * as examples from './kinds.ts'

/** Each goal as it is written, and what meets it. */
export const goalExamples: Record<GoalKey, GoalExample<Goal>[]> = { ...examples } as never
