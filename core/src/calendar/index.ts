export * from './course.ts'
export * from './places.ts'
export * from './turns.ts'
