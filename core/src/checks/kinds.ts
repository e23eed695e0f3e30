// A member's entries.
export { datedAhead } from './datedAhead.ts'
export { strayLog } from './strayLog.ts'
export { doubtfulLog } from './doubtfulLog.ts'
export { bodyWeightMax } from './bodyWeightMax.ts'
// One enrolment's plan.
export { assumedEquipment } from './assumedEquipment.ts'
export { oldMax } from './oldMax.ts'
export { beyondMax } from './beyondMax.ts'
export { testDay } from './testDay.ts'
export { topSetGone } from './topSetGone.ts'
export { goneTrack } from './goneTrack.ts'
export { goneTarget } from './goneTarget.ts'
