import type { Phase } from '@young-oak/core/template'

/** A session of a rotation by its id, or a day of rest. */
export type Step = string | null

/** A rotation with its days of rest where they come. */
export const stepsOf = ({ rotation, layout }: Phase): Step[] =>
  rotation.flatMap((session, i) => [
    session,
    ...(layout?.rest ?? []).flatMap((after) => (after === i + 1 ? [null] : [])),
  ])
