export { type Differing, type Impact, impactOf, type Seen } from './impactOf.ts'
export type { Jump } from './jumpOf.ts'
