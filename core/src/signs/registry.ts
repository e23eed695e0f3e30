import * as signs from './index.ts'
import type { Sign } from './sign.ts'

export type SignKind = keyof typeof signs
type ParamsOf<K extends SignKind> = (typeof signs)[K] extends Sign<infer P> ? P : never

/** How a template says a sign: `{"sign": "stalled", "misses": 2, "of": 2}`. */
export type SignBasis = { [K in SignKind]: { sign: K } & ParamsOf<K> }[SignKind]

export const signOf = signs as unknown as Record<SignKind, Sign<object>>
export const signKinds = Object.keys(signs) as SignKind[]
