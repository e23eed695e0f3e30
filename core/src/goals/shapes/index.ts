import type { ObjectSchema } from 'yup'
import type { Goal, GoalKey } from '../registry.ts'
import * as shapes from './kinds.ts'

/** How each goal is read from a file: the whole goal, its key among the others. */
export const goalShapes: Record<GoalKey, ObjectSchema<Goal & object>> = { ...shapes } as never
