export { everyNth, placeDeload } from './placeDeload.ts'
export { type DeloadKind, deloadKinds, deloadOf } from './registry.ts'
