export * from './read.ts'
export * from './resolve.ts'
export * from './shown.ts'
export * from './types.ts'
