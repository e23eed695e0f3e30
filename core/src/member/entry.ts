import {
  dayField,
  entryIdField,
  exerciseField,
  idField,
  textField,
  trueField,
  wholeField,
  type Id,
} from '../parsing/index.ts'
import type { Day } from '../units/index.ts'

/** What every dated entry carries. Entries are never changed: a correction is a new one that names what it replaces. */
export type Entry = {
  id: Id
  /** Of one id the highest revision wins; of equal ones the greater change id. */
  rev: number
  change?: string
  replaces?: Id
  /** A correction: the change that stood when it was made. */
  saw?: string
  /** A deletion: the entry, and what it replaces, no longer counts. */
  void?: true
  /** Its day waits for the member's word: it counts from a further entry, of this id or in its place, that says so no more. */
  waits?: true
  date: Day
}

/** How member format 2 writes it. */
export const entryFields = {
  id: entryIdField(),
  rev: wholeField('a revision', 1, 1_000_000),
  change: idField('a change id'),
  replaces: entryIdField('the id of the entry that it corrects'),
  saw: idField('the change that a correction saw'),
  void: trueField('true, for an entry that no longer counts'),
  waits: trueField('true, for an entry whose day the member has yet to say'),
  date: dayField().required(),
}

export const liftFields = { exercise: exerciseField().required(), variant: textField('a variant', 60) }
