export { ramp, warmUpMessages, type WarmUpSet } from './ramp.ts'
export { type WarmUp, type WarmUpName, warmUpNames, warmUpOf } from './registry.ts'
