// By reps.
export { reps } from './reps.ts'
export { totalReps } from './totalReps.ts'
export { cluster } from './cluster.ts'
// By time, distance or rounds.
export { totalSeconds } from './totalSeconds.ts'
export { totalDistance } from './totalDistance.ts'
export { most } from './most.ts'
export { seconds } from './seconds.ts'
export { distance } from './distance.ts'
export { rounds } from './rounds.ts'
// As the member decides.
export { open } from './open.ts'
// Done or not.
export { task } from './task.ts'
