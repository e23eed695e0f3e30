import type { Messages, Rung } from '../explain/rung.ts'
import type { Muscle } from '../library/index.ts'
import type { RecipeKind } from '../lightWeeks/registry.ts'
import type { Signals } from './signals.ts'

/** Whether a program goes by planned light weeks, by how members are, or by both; both where it says nothing. */
export const lightPolicies = ['planned', 'reactive', 'both'] as const
export type LightPolicy = (typeof lightPolicies)[number]

export type Sureness = 'likely' | 'possible' | 'weak'

/** What was found: the evidence in words, how sure it is, and what might be done. */
export type Found = {
  evidence: Rung[]
  sure: Sureness
  suggest?: { recipe: RecipeKind; params: object; muscles?: Muscle[] }
}

/** One answer of the advisor. One file an answer, file name = export = `kind`; the index says in which order they are tried. */
export type Answer = {
  kind: string
  /** "Take a light week." */
  says: string
  /** Which school it follows, and who sees it otherwise. */
  school: string
  /** Caution is no advice: it says what to see to first. */
  isCaution?: true
  holds(signals: Signals, policy: LightPolicy): Found | null
  messages: Messages
}

export const defineAnswer = (answer: Answer): Answer => answer
