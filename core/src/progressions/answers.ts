import type { Muscle } from '../library/index.ts'

/** What a member says about a session: how it went, and, when a muscle is trained again, whether it was still sore. */
export type Answers = {
  /** How hard it was in all, 0 to 10. */
  hard?: number
  minutes?: number
  worked?: Partial<Record<Muscle, Worked>>
  sore?: Partial<Record<Muscle, Soreness>>
}
export const workedAnswers = ['hardly', 'well', 'too much'] as const
export type Worked = (typeof workedAnswers)[number]
export const soreAnswers = ['not', 'gone in time', 'still'] as const
export type Soreness = (typeof soreAnswers)[number]
