import type { Library } from '../library/index.ts'
import type { DeloadPolicy } from '../template/index.ts'
import type { Found } from './answer.ts'
import { answerOf, answerOrder, type AnswerKind } from './answers/registry.ts'
import type { Signals } from './signals.ts'

/** What the advisor says: the answer, what it goes by, how sure it is, and what might be done. */
export type Advice = { answer: AnswerKind } & Found

/** The first answer that holds. A program with planned deloads alone is never told to take another, or to leave one out. */
export function advise(library: Library, signals: Signals, policy: DeloadPolicy = 'both'): Advice {
  for (const kind of answerOrder) {
    const found = answerOf[kind].holds(signals, policy, library)
    if (found) return { answer: kind, ...found }
  }
  throw new Error('missing answer: "nothing" always holds')
}
