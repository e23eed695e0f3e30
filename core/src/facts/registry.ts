import type { Library } from '../library/index.ts'
import type { Dated, FactKind } from './fact.ts'
import * as kinds from './kinds.ts'

type Kinds = typeof kinds
export type FactName = keyof Kinds
type BodyOf<N extends FactName> = Kinds[N] extends FactKind<infer B, infer _K, infer _R> ? B : never

/** What a fact says, beside what every entry carries: `{"kind": "unit", "unit": "lb"}`. */
export type FactBody = { [N in FactName]: { kind: N } & BodyOf<N> }[FactName]

export type Fact = Dated<FactBody>

type All<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer A) => void ? A : never

/** What evidence keeps of facts, part by part as their kinds say. Small plain JSON, never changed in place. */
export type Learned = All<Kinds[FactName]['none']>

export const factOf = { ...kinds } as unknown as Record<FactName, FactKind<object, Learned>>
export const factNames = Object.keys(kinds) as FactName[]

/** Kinds that a member or their writer enters one by one. */
export const givenKinds: readonly FactName[] = factNames.filter((name) => factOf[name].isGiven)

/** What is known before there is any fact. */
export const nothingLearned: Learned = Object.assign({}, ...factNames.map((name) => factOf[name].none))

/** What is known with one fact more. */
export function learnFact<T extends Learned>(library: Library, known: T, fact: Fact): T {
  // What is known keeps one shape: it is copied for every session.
  const next = { ...known }
  return Object.assign(next, factOf[fact.kind].learn(known, fact, library))
}
