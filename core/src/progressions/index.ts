// Loads that rise session by session.
export { linear } from './linear.ts'
export { doubleProgression } from './doubleProgression.ts'
// Days of one lift in several roles.
export { volumeHeavy } from './volumeHeavy.ts'
// Sets that grow.
export { setAccumulation } from './setAccumulation.ts'
