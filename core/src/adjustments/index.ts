export type { Adjustment } from './adjustment.ts'
export type { GroupDraft, LineDraft, WeekDraft } from './change.ts'
export { type Change, type ChangeName, changeNames, changeOf } from './registry.ts'
export { actsOn, mayAct, slotWith, type Spot, type Where } from './where.ts'
