export * from './explain.ts'
export * from './rung.ts'
