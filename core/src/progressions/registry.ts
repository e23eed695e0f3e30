import * as rules from './kinds.ts'
import type { Rule } from './rule.ts'

export type RuleKind = keyof typeof rules
type ParamsOf<K extends RuleKind> = (typeof rules)[K] extends Rule<infer P, infer _S> ? P : never

/** A rule at work on a lift, until the next stage takes over. */
export type Stage = { [K in RuleKind]: { id: string; rule: K; params: ParamsOf<K> } }[RuleKind]

export const ruleOf = { ...rules } as unknown as Record<RuleKind, Rule<object, object>>
export const ruleKinds = Object.keys(rules) as RuleKind[]
