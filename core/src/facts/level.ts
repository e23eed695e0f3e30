import { liftKey, type Lift } from '../library/index.ts'
import { liftFields } from '../member/index.ts'
import { choiceField } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** How fast a lift still grows: from session to session, from week to week, from month to month. */
export const liftLevels = ['novice', 'intermediate', 'advanced'] as const
export type LiftLevel = (typeof liftLevels)[number]

/** A lift in which somebody is further, or less far, than their years of training say; null takes that back. */
export const level = defineFact<{ level: LiftLevel | null } & Lift, { levels: Record<string, LiftLevel> }>({
  kind: 'level',
  isGiven: true,
  shape: factShape({ ...liftFields, level: choiceField(liftLevels).nullable().defined() }),
  none: { levels: {} },
  learn({ levels }, fact) {
    const { [liftKey(fact)]: _, ...others } = levels
    return { levels: fact.level ? { ...others, [liftKey(fact)]: fact.level } : others }
  },
  examples: [
    {
      say: 'new to one lift',
      fact: { exercise: 'powerClean', level: 'novice' },
      known: { levels: { backSquat: 'advanced' } },
      want: { levels: { backSquat: 'advanced', powerClean: 'novice' } },
    },
    {
      say: 'no longer different',
      fact: { exercise: 'backSquat', level: null },
      known: { levels: { backSquat: 'advanced' } },
      want: { levels: {} },
    },
  ],
})
