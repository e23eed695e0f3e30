import { mixed, object, string, type InferType } from 'yup'
import type { OwnExercises } from '@young-oak/core/library'

/** An exercise as the gym adds it, or says it anew: the engine reads it, and locates what is wrong with it. */
export const givenExerciseSchema = object({
  exercise: mixed<object>().required('Say what the exercise is.'),
}).noUnknown()
export type GivenExercise = InferType<typeof givenExerciseSchema>

export const mergeSchema = object({
  /** The exercise that it becomes; null to take a merge back. */
  into: string().max(80).nullable().defined(),
}).noUnknown()
export type GivenMerge = InferType<typeof mergeSchema>

/** The exercises of the gym, and the mark by which a page knows whether it has them as they are. */
export type LibraryView = { mark: string; exercises: OwnExercises }
