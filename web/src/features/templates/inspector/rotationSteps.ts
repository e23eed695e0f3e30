import type { Phase } from '@young-oak/core/template'

/** A session of a rotation by its id, or a day of rest. */
export type Step = string | null

/** A rotation with its days of rest where they come. */
export const stepsOf = ({ rotation, layout }: Phase): Step[] =>
  rotation.flatMap((session, i) => [
    session,
    ...(layout?.rest ?? []).flatMap((after) => (after === i + 1 ? [null] : [])),
  ])

/** The sessions of such a list, and after which of them a day of rest comes; those that it begins with come after its last. */
export function rotationOf(steps: Step[]): { rotation: string[]; rest: number[] } {
  const rotation = steps.filter((step) => step !== null)
  const rest: number[] = []
  let before = 0
  for (const step of steps) {
    if (step === null) rest.push(before || rotation.length)
    else before += 1
  }
  return { rotation, rest: rest.sort((a, b) => a - b) }
}
