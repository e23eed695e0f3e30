import { entryIdField, idField, type Id } from '../parsing/index.ts'
import { defineFact, factShape } from './fact.ts'

/**
 * The track of a program for this member alone, from the next plan week on; null for the template as written. It goes before what is published, until a
 * later entry without a track gives that its place back.
 */
export const track = defineFact<{ enrolment: Id; track?: Id | null }>({
  kind: 'track',
  isGiven: true,
  shape: factShape({
    enrolment: entryIdField('an enrolment').required(),
    track: idField('a track, or null for the template as written').nullable(),
  }),
  none: {},
  learn: () => ({}),
  examples: [{ say: 'on the short track', fact: { enrolment: 'e', track: 'short' }, want: {} }],
})
