// Loads.
export { points } from './points.ts'
export { scaleLoad } from './scaleLoad.ts'
export { cap } from './cap.ts'
// Sets and effort.
export { scaleSets } from './scaleSets.ts'
export { rirAtLeast } from './rirAtLeast.ts'
export { highReps } from './highReps.ts'
// Slots.
export { swap } from './swap.ts'
export { drop } from './drop.ts'
export { add } from './add.ts'
// Weeks.
export { rotation } from './rotation.ts'
export { fewerDays } from './fewerDays.ts'
