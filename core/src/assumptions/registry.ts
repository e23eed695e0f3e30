import type { Assumption } from './assumption.ts'
import * as assumptions from './index.ts'

export type AssumptionKind = keyof typeof assumptions
type ParamsOf<K extends AssumptionKind> = (typeof assumptions)[K] extends Assumption<infer P> ? P : never

/** What is supposed: `{"kind": "misses", "week": 4}`. */
export type Supposed = { [K in AssumptionKind]: { kind: K } & ParamsOf<K> }[AssumptionKind]

export const assumptionOf = assumptions as unknown as Record<AssumptionKind, Assumption<object>>
/** In the order in which they are shown: a module's own names come in alphabetical order. */
export const assumptionKinds = ['toPlan', 'misses', 'away', 'better'] as const satisfies AssumptionKind[]
export type { Doing } from './assumption.ts'
