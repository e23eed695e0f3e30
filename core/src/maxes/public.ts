export * from './estimate.ts'
export * from './findLoad.ts'
export * from './registry.ts'
export * from './table.ts'
