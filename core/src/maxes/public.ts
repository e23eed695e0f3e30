export * from './estimate.ts'
export * from './registry.ts'
export * from './table.ts'
