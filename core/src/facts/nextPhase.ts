import { idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/** The phase is over for this member with the week that is running. */
export const nextPhase = defineFact<{ phase: Id }, { left: Id[] }>({
  kind: 'nextPhase',
  isGiven: true,
  shape: factShape({ phase: idField('a phase').required() }),
  none: { left: [] },
  learn: ({ left }, { phase }) => ({ left: [...left, phase] }),
  examples: [{ say: 'the base is over', fact: { phase: 'base' }, want: { left: ['base'] } }],
})
