import type { Answer } from '../answer.ts'
import * as answers from './kinds.ts'

export type AnswerKind = keyof typeof answers

export const answerOf = answers satisfies Record<string, Answer> as Record<AnswerKind, Answer>
/** A module's names come in alphabetical order, so the order of the answers is said here. */
export const answerOrder = [
  'caution',
  'askFirst',
  'mendSleep',
  'lowerVolume',
  'partialDeload',
  'deload',
  'skipPlanned',
  'nextBlock',
  'askAgain',
  'nothing',
] as const satisfies AnswerKind[]
