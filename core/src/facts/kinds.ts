// What a lift can be loaded with, and is known to lift.
export { max } from './max.ts'
export { bodyWeight } from './bodyWeight.ts'
export { unit } from './unit.ts'
export { home } from './home.ts'
export { equipment } from './equipment.ts'
// What changes a plan.
export { test } from './test.ts'
export { deload as deload } from './deload.ts'
export { skipDeload } from './skipDeload.ts'
export { adjust } from './adjust.ts'
export { withdraw } from './withdraw.ts'
export { handover } from './handover.ts'
export { nextPhase } from './nextPhase.ts'
export { mostSets as mostSets } from './mostSets.ts'
// How a member is, and what is coming.
export { checkIn } from './checkIn.ts'
export { about } from './about.ts'
export { event } from './event.ts'
export { adviceTaken } from './adviceTaken.ts'
// What a member is after.
export { goal } from './goal.ts'
export { trial } from './trial.ts'
export { decision } from './decision.ts'
