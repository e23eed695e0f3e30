export { findingsOf, toldToMember } from './findingsOf.ts'
export type {} from './registry.ts'
export { type FindingSaid, sayFinding } from './sayFinding.ts'
