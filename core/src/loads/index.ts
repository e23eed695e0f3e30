// From a max.
export { max } from './max.ts'
export { trainingMax } from './trainingMax.ts'
// From a rule.
export { progression } from './progression.ts'
// From the member, or not at all.
export { free } from './free.ts'
export { none } from './none.ts'
