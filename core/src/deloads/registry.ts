import * as recipes from './kinds.ts'
import type { Deload } from './deload.ts'

export type DeloadKind = keyof typeof recipes

export const deloadOf = recipes as unknown as Record<DeloadKind, Deload<object>>
export const deloadKinds = Object.keys(recipes) as DeloadKind[]
