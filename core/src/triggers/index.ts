export { type TriggerBasis, type TriggerKind, triggerKinds, triggerOf } from './registry.ts'
export { freshRun, type Heard, longestRecent, type Run } from './trigger.ts'
