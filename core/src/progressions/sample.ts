import type { Goal } from '../goals/index.ts'
import type { LoadBasis } from '../loads/index.ts'
import { ruleOf, type RuleKind } from './registry.ts'

/** Sets that a rule can work with, for a new slot and for examples: with its load where it gives one. */
export function sampleSets(kind: RuleKind): { sets: number; goal: Goal; least?: number; load: LoadBasis } {
  const { writes, carriedBy, kind: own } = ruleOf[kind]
  const plain =
    own === 'doubleProgression'
      ? { sets: 3, goal: { reps: { from: 6, to: 10 } } }
      : { sets: 3, goal: { reps: 5 } }
  const load = writes.includes('load') ? { of: 'progression' as const } : { of: 'free' as const }
  return { ...(carriedBy?.sample ?? plain), load }
}

/** The role in which a rule works by itself. */
export const sampleRole = (kind: RuleKind): string => {
  const { roles, quiet = [] } = ruleOf[kind]
  return roles.includes('main') ? 'main' : (roles.find((role) => !quiet.includes(role)) ?? 'main')
}
