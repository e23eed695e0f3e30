export { findingsOf } from './findingsOf.ts'
export { type FindingSaid, sayFinding } from './sayFinding.ts'
