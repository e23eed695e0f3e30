export { type Differing, type Impact, impactOf, maxesRead, type Seen } from './impactOf.ts'
export type { Jump } from './jumpOf.ts'
