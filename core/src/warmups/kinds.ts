export { fewSets } from './fewSets.ts'
export { listed } from './listed.ts'
