import * as warmUps from './kinds.ts'
import type { WarmUpKind } from './warmUp.ts'

export type WarmUpName = keyof typeof warmUps
type ParamsOf<K extends WarmUpName> = (typeof warmUps)[K] extends WarmUpKind<infer P> ? P : never

/** How a template says it: `{"kind": "fewSets", "sets": 2}`. */
export type WarmUp = { [K in WarmUpName]: { kind: K } & ParamsOf<K> }[WarmUpName]

export const warmUpOf = warmUps as unknown as Record<WarmUpName, WarmUpKind<object>>
export const warmUpNames = Object.keys(warmUps) as WarmUpName[]
