// From a max.
export { max } from './max.ts'
export { trainingMax } from './trainingMax.ts'
export { repMax } from './repMax.ts'
export { otherMax } from './otherMax.ts'
export { effort } from './effort.ts'
export { tonnage } from './tonnage.ts'
// From the body.
export { bodyWeight } from './bodyWeight.ts'
// From a rule.
export { progression } from './progression.ts'
// From what was lifted: today, last time, or in another role.
export { topSet } from './topSet.ts'
export { lastTime } from './lastTime.ts'
export { role } from './role.ts'
// From the member, or not at all.
export { free } from './free.ts'
export { none } from './none.ts'
