// Less on the bar.
export { percentDown } from './percentDown.ts'
export { lessLoad } from './lessLoad.ts'
// Less of it.
export { fewerSets } from './fewerSets.ts'
export { fewerSetsLessLoad } from './fewerSetsLessLoad.ts'
export { fewerDays } from './fewerDays.ts'
// Less effort.
export { stopSooner } from './stopSooner.ts'
export { oneEasySet } from './oneEasySet.ts'
// Nothing.
export { weekOff } from './weekOff.ts'
// Towards a test.
export { taper } from './taper.ts'
