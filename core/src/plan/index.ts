export { planMember, type Planned } from './planMember.ts'
export { isOfDay, isOver } from './isOver.ts'
export { placeIn, snapshot } from './snapshot.ts'
export type {
  Doing,
  OnDay,
  Plan,
  PlanInput,
  PlannedSession,
  PlannedSlot,
  PlannedWeek,
  SetAside,
  When,
} from './types.ts'
export { acting, type Authored, trackChanges } from './compile/changes.ts'
export { layoutMessages } from './ahead/lieOn.ts'
export { followToday, totalOf } from './prescribe/onTheBar.ts'
export { showMessages } from './prescribe/round.ts'
export { choiceMessages } from './prescribe/rotations.ts'
export { rowMessages } from './prescribe/rows.ts'
export { sayStage } from './progress/currentStage.ts'
export type { Offer } from './progress/offers.ts'
export type { Checkpoint } from './replay/checkpoint.ts'
export { judge, type Judged } from './replay/verdict.ts'
export { segmentOn, templateOn, type Verdict } from './state/fold.ts'
