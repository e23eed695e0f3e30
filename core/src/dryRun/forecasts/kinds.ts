// Suppositions about the weeks to come.
export { toPlan } from './toPlan.ts'
export { misses } from './misses.ts'
export { away } from './away.ts'
export { better } from './better.ts'
