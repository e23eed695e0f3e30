export * from './exercises.ts'
export * from './lift.ts'
