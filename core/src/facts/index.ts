export { trainingAges, type About, type TrainingAge } from './about.ts'
export { type CheckIn, jointAnswers } from './checkIn.ts'
export type { EquipmentBody } from './equipment.ts'
export { type EventKind, eventKinds } from './event.ts'
export { type BlockOf, isSameBlock, type LiftGoal } from './goal.ts'
export { handoverKey } from './handover.ts'
export { type EndReason, endReasons } from './endEnrolment.ts'
export { type DeloadFact, deloadReasons } from './deload.ts'
export { maxOf } from './max.ts'
export { readEquipment, readGivenFact } from './readFact.ts'
export { type Member, readMember } from './readMember.ts'
export {
  type Fact,
  type FactBody,
  factNames,
  factOf,
  givenKinds,
  type Learned,
  learnFact,
  nothingLearned,
} from './registry.ts'
export { factFormat, upgradeFact } from './upgrades/index.ts'
