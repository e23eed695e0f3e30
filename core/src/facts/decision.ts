import { choiceField, idField, textField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

const choices = ['first', 'second', 'neither'] as const
type Chosen = { chosen: (typeof choices)[number]; note?: string }

/** What a trial led to, with what made it uncertain. */
export const decision = defineFact<{ trial: Id } & Chosen, { decisions: Record<Id, Chosen & { date: Day }> }>(
  {
    kind: 'decision',
    isGiven: true,
    shape: factShape({
      trial: idField('a trial').required(),
      chosen: choiceField(choices).required(),
      note: textField('a note', 500),
    }),
    none: { decisions: {} },
    learn: ({ decisions }, { trial, chosen, note, date }) => ({
      decisions: { ...decisions, [trial]: { chosen, date, ...(note && { note }) } },
    }),
    examples: [
      {
        say: 'the second it is',
        fact: { trial: 't', chosen: 'second' },
        want: { decisions: { t: { chosen: 'second', date: '2026-03-02' } } },
      },
    ],
  },
)
