import type { ChangeKind } from './change.ts'
import * as changes from './kinds.ts'

export type ChangeName = keyof typeof changes
type ParamsOf<K extends ChangeName> = (typeof changes)[K] extends ChangeKind<infer P> ? P : never

/** How a template says a change: `{"kind": "scaleLoad", "by": -10}`. */
export type Change = { [K in ChangeName]: { kind: K } & ParamsOf<K> }[ChangeName]

export const changeOf = { ...changes } as unknown as Record<ChangeName, ChangeKind<object>>
export const changeNames = Object.keys(changes) as ChangeName[]
