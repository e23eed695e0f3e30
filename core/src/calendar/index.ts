export * from './course.ts'
export * from './places.ts'
