import * as sources from './kinds.ts'
import type { Source } from './source.ts'

export type { MaxInForce } from './source.ts'
export { waysTo } from './tonnage.ts'

export type SourceKind = keyof typeof sources
type ParamsOf<K extends SourceKind> = (typeof sources)[K] extends Source<infer P> ? P : never

/** How a template says what a load is based on: `{"of": "max", "percent": 75}`. */
export type LoadBasis = { [K in SourceKind]: { of: K } & ParamsOf<K> }[SourceKind]

export const sourceOf = { ...sources } as Record<SourceKind, Source<object>>
export const sourceKinds = Object.keys(sources) as SourceKind[]
