// Signs that a lift has had enough of its rule, or a phase has done its work.
export { stalled } from './stalled.ts'
export { barelyMade } from './barelyMade.ts'
export { outgrown } from './outgrown.ts'
export { speedDrops } from './speedDrops.ts'
export { techniqueHeld } from './techniqueHeld.ts'
export { reached } from './reached.ts'
export { exposures } from './exposures.ts'
export { weeks } from './weeks.ts'
