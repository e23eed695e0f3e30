import type { Id } from '@young-oak/core/parsing'

/** What the keyboard stands on in the workbench; `what` where one of these was asked for and not the innermost. */
export type Selected = {
  phase?: Id
  session?: Id
  slot?: Id
  prescription?: Id
  row?: number
  what?: Aspect
  /** A setting that is opened at once. */
  opens?: 'details'
}

/** What the inspector speaks of, from the whole to the part. */
export const aspects = ['template', 'track', 'phase', 'session', 'slot', 'progression'] as const
export type Aspect = (typeof aspects)[number]
