import type { Lift } from '../library/index.ts'
import { liftKey } from '../library/index.ts'
import type { Id } from '../template/types.ts'
import type { Day } from '../units/index.ts'

/**
 * The state of one enrolment between two sessions: small plain JSON, never changed in place. It holds what cannot be read
 * off the logs of a single session; everything shown is computed from it.
 */
export type FoldState = {
  /** What became of each place that is taken, by position. */
  places: Record<number, 'trained' | 'skipped'>
  /** The rule's state by progression and lift: loads do not carry from one exercise to another. */
  progressions: Record<string, { stage: Id; exposures: number; last: Day | null; state: object }>
  /** Rows by week that each slot has trained, by phase and slot; rows count from 0. */
  rows: Record<string, number[]>
}

export const startState: FoldState = { places: {}, progressions: {}, rows: {} }

export const progressionKey = (progression: Id, lift: Lift): string => `${progression}/${liftKey(lift)}`
export const rowsKey = (phase: Id, slot: Id): string => `${phase}/${slot}`
