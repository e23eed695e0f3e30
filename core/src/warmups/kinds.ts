export { fewSets } from './fewSets.ts'
export { ladder } from './ladder.ts'
