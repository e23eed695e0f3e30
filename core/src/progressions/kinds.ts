// Loads that rise session by session.
export { linear } from './linear.ts'
export { doubleProgression } from './doubleProgression.ts'
export { earnedLoad } from './earnedLoad.ts'
export { amrapSet } from './amrapSet.ts'
export { rirRamp } from './rirRamp.ts'
// Loads that rise by steps and in waves.
export { stepBand } from './stepBand.ts'
export { wave } from './wave.ts'
// Sets and reps that change with the load.
export { schemeLadder } from './schemeLadder.ts'
export { recordRotation } from './recordRotation.ts'
export { standingRecords } from './standingRecords.ts'
export { dropRecords } from './dropRecords.ts'
export { growingSquares } from './growingSquares.ts'
// Days of one lift in several roles.
export { volumeHeavy } from './volumeHeavy.ts'
// Sets, reps, times and distances that grow.
export { setAccumulation } from './setAccumulation.ts'
export { setsUntil } from './setsUntil.ts'
export { muscleWeek } from './muscleWeek.ts'
export { totalRepGoal } from './totalRepGoal.ts'
export { density } from './density.ts'
export { moreAmount } from './moreAmount.ts'
// A range of motion that grows.
export { rangeStep } from './rangeStep.ts'
