import type { Exercise } from './exercise.ts'
import { legs } from './lifts/legs.ts'
import { others } from './lifts/others.ts'
import { pull } from './lifts/pull.ts'
import { push } from './lifts/push.ts'

/** The exercises that everybody has, by the id they are stored under. Ids are never renamed. */
export const exercises = { ...legs, ...push, ...pull, ...others } satisfies Record<string, Exercise>

export type BuiltInId = keyof typeof exercises

export const exerciseIds = Object.keys(exercises) as BuiltInId[]
