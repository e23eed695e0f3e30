export type { About } from './about.ts'
export { trainingAges, type TrainingAge } from '../adjustments/index.ts'
export { askFirstReasons, type AskFirst, type AskFirstReason } from './askFirst.ts'
export { type CheckIn, jointAnswers } from './checkIn.ts'
export { choiceKey } from './choice.ts'
export { sessionsIn, type Days } from './days.ts'
export type { Enjoys } from './enjoys.ts'
export type { EquipmentBody } from './equipment.ts'
export { type EventKind, eventKinds } from './event.ts'
export { type BlockOf, isSameBlock, type LiftGoal } from './goal.ts'
export type { TotalGoal } from './totalGoal.ts'
export { handoverKey } from './handover.ts'
export { type EndReason, endReasons } from './endEnrolment.ts'
export { type DeloadFact, deloadReasons } from './deload.ts'
export { type LiftLevel, liftLevels } from './level.ts'
export { maxOf } from './max.ts'
export {
  changingPauses,
  goesOn,
  type Pause,
  pauseBefore,
  pauseOn,
  type PauseReason,
  pauseReasons,
} from './pause.ts'
export type { Priorities } from './priorities.ts'
export { readEquipment, readGivenFact } from './readFact.ts'
export { type Member, readMember } from './readMember.ts'
export {
  type Fact,
  type FactBody,
  type FactName,
  factNames,
  factOf,
  givenKinds,
  type Learned,
  learnFact,
  nothingLearned,
} from './registry.ts'
export { factFormat, upgradeFact } from './upgrades/index.ts'
