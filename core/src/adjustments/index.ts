// Loads.
export { points } from './points.ts'
export { scaleLoad } from './scaleLoad.ts'
// Sets.
export { scaleSets } from './scaleSets.ts'
