import type { Id } from '../parsing/index.ts'

/**
 * The sessions of a rotation in which null stands for a day of rest, and after which of them, counted from 1, such a day comes; those that it
 * begins with come after its last.
 */
export function splitRests(steps: readonly (Id | null)[]): { rotation: Id[]; rest: number[] } {
  const rotation = steps.filter((step) => step !== null)
  const rest: number[] = []
  let before = 0
  for (const step of steps) {
    if (step === null) rest.push(before || rotation.length)
    else before += 1
  }
  return { rotation, rest: rest.sort((a, b) => a - b) }
}
