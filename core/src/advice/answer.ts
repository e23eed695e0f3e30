import type { DeloadPolicy } from '../template/index.ts'
import type { Messages, WhyStep } from '../words/index.ts'
import type { Muscle, Library } from '../library/index.ts'
import type { DeloadKind } from '../deloads/index.ts'
import type { Signals } from './signals.ts'

export type Sureness = 'likely' | 'possible' | 'weak'

/** What was found: the evidence in words, how sure it is, and what might be done. */
export type Found = {
  evidence: WhyStep[]
  sure: Sureness
  suggest?: { recipe: DeloadKind; params: object; muscles?: Muscle[] }
}

/** One answer of the advisor. One file an answer, file name = export = `kind`; the index says in which order they are tried. */
export type Answer = {
  kind: string
  /** "Take a deload week." */
  says: string
  /** Which school it follows, and who sees it otherwise. */
  school: string
  /** Caution is no advice: it says what to see to first. */
  isCaution?: true
  holds(signals: Signals, policy: DeloadPolicy, library: Library): Found | null
  messages: Messages
}

export const defineAnswer = (answer: Answer): Answer => answer
