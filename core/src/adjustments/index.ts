export type { Adjustment } from './adjustment.ts'
export { sayCap } from './cap.ts'
export { sayPoints } from './points.ts'
export type { SetsDraft, LineDraft, WeekDraft } from './change.ts'
export { type Change, type ChangeName, changeNames, changeOf } from './registry.ts'
export {
  actsInWeek,
  actsOn,
  isFor,
  mayAct,
  slotSpot,
  trainingAges,
  weekSpot,
  type Spot,
  type TrainingAge,
  type Where,
  type Whom,
} from './where.ts'
