export * from './exercise.ts'
export * from './exercises.ts'
export * from './findExercise.ts'
export * from './lift.ts'
