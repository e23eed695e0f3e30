export * from './estimate.ts'
export * from './registry.ts'
