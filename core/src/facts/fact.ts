import type { ObjectShape, Schema } from 'yup'
import type { Library } from '../library/index.ts'
import { entryFields, type Entry } from '../member/index.ts'
import { dayField, laterField, strictObject, type Checker } from '../parsing/index.ts'
import type { Day } from '../units/index.ts'

/** A fact with what every entry carries, and the day from which it acts. */
export type Dated<B> = Entry & { actsFrom: Day } & B

/**
 * One kind of dated fact about a member. One file a kind, file name = export = `kind`: how it is written (`B`, beside what every entry
 * carries), what evidence keeps of it (`K`), and what it teaches. Kinds that teach what another keeps name that in `R`.
 */
export type FactKind<B extends object, K extends object = object, R extends object = object> = {
  kind: string
  shape: Schema
  /** Entered one by one by a member or their writer. Maxes, body weight, units, homes and equipment have ways of their own. */
  isGiven?: true
  /** What the shape cannot say of a fact that fits it. Notes faults; returns it written out. */
  read?(checker: Checker, fact: Dated<B>, path: string): Dated<B>
  /** What is kept before there is any. */
  none: K
  /** What it teaches, as the parts that change; nothing is changed in place. */
  learn(known: K & R, fact: Dated<B>, library: Library): Partial<K & R>
  /** Of 2 March 2026, under the id "f": what it teaches, beside what was known (nothing where it is not said). */
  examples: { say: string; fact: B; known?: Partial<K & R>; want: Partial<K & R> }[]
}

export const defineFact = <B extends object, K extends object = object, R extends object = object>(
  kind: FactKind<B, K, R>,
): FactKind<B, K, R> => kind

/** How a file writes a fact: these fields, beside what every entry carries. */
export const factShape = <S extends ObjectShape>(fields: S) =>
  strictObject({ ...entryFields, kind: laterField('a kind'), actsFrom: dayField(), ...fields })
