export { isAssumed, type Loading, loadingAt } from './equipment.ts'
export {
  type Evidence,
  isDone,
  isToTheLimit,
  type LastTime,
  learnSession,
  type SetSeen,
  topSet,
} from './evidence.ts'
export { ableFor, freshWeeks, isStale, maxFor } from './maxFor.ts'
export { noEvidence } from './none.ts'
export { type Proposal, proposalsOf } from './proposals.ts'
export { type Trait, traitKinds, traitsOf } from './traits.ts'
export { actingDay, countedLog, type DatedAhead, type Happening, timeline } from './timeline.ts'
