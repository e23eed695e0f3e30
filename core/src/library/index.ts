export {
  type Exercise,
  type Muscle,
  muscles,
  patterns,
  readings,
  readingWords,
  type Reads,
  saySuits,
  type Tool,
  tools,
} from './exercise.ts'
export { exerciseIds, exercises } from './exercises.ts'
export { exerciseNamed, findExercises } from './findExercise.ts'
export {
  compareLifts,
  mainMuscle,
  type Lift,
  isSameLift,
  liftKey,
  liftName,
  liftOf,
  liftOfKey,
  maxName,
  setCounts,
  takesMax,
  takesSmallSteps,
} from './lift.ts'
export {
  declaredAs,
  differsIn,
  type ExerciseId,
  exerciseOf,
  exercisesAtHand,
  isExercise,
  isExerciseId,
  isOwnId,
  type Library,
  mergeFault,
  type OwnExercise,
  type OwnExercises,
  type OwnId,
  ownIdPattern,
  withExercises,
} from './own.ts'
export { mergedOf, ownIdsIn, renameExercises, withOwnExercises } from './renameExercises.ts'
