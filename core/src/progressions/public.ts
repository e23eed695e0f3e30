export * from './registry.ts'
export { sampleGroup, sampleRole } from './sample.ts'
