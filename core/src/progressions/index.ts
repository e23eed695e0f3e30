// Loads that rise session by session.
export { linear } from './linear.ts'
export { doubleProgression } from './doubleProgression.ts'
export { plusSet } from './plusSet.ts'
// Loads that rise by steps and in waves.
export { stepBand } from './stepBand.ts'
export { wave } from './wave.ts'
// Sets and reps that change with the load.
export { schemeLadder } from './schemeLadder.ts'
export { recordRotation } from './recordRotation.ts'
export { growingSquares } from './growingSquares.ts'
// Days of one lift in several roles.
export { volumeHeavy } from './volumeHeavy.ts'
// Sets and reps that grow.
export { setAccumulation } from './setAccumulation.ts'
export { totalRepGoal } from './totalRepGoal.ts'
export { density } from './density.ts'
