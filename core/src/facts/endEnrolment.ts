import { choiceField, entryIdField, type Id } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'
import { defineFact, factShape } from './fact.ts'

/** Why somebody stops a program before its last week. */
export const endReasons = ['another program', 'injury', 'illness', 'travel', 'time', 'other'] as const
export type EndReason = (typeof endReasons)[number]

type Kept = { ended: Record<Id, Day> }

/** A program is over for this member from its day on; what was trained in it stays. */
export const endEnrolment = defineFact<{ enrolment: Id; reason?: EndReason }, Kept>({
  kind: 'endEnrolment',
  isGiven: true,
  shape: factShape({
    enrolment: entryIdField('an enrolment').required(),
    reason: choiceField(endReasons),
  }),
  none: { ended: {} },
  learn: ({ ended }, { enrolment, actsFrom }) => ({
    ended: enrolment in ended ? ended : { ...ended, [enrolment]: actsFrom },
  }),
  examples: [
    {
      say: 'the program gives no more weeks',
      fact: { enrolment: 'e', reason: 'travel' },
      want: { ended: { e: '2026-03-02' } },
    },
  ],
})
