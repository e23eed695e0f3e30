import * as signs from './kinds.ts'
import type { Trigger } from './trigger.ts'

export type TriggerKind = keyof typeof signs
type ParamsOf<K extends TriggerKind> = (typeof signs)[K] extends Trigger<infer P> ? P : never

/** How a template says a sign: `{"trigger": "stalled", "misses": 2, "of": 2}`. */
export type TriggerBasis = { [K in TriggerKind]: { trigger: K } & ParamsOf<K> }[TriggerKind]

export const triggerOf = { ...signs } as unknown as Record<TriggerKind, Trigger<object>>
export const triggerKinds = Object.keys(signs) as TriggerKind[]
