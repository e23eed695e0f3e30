import type { Id } from '../parsing/index.ts'
import type { Change } from './registry.ts'
import type { Where } from './where.ts'

/** A change and where it acts. Tracks, deloads and members' custom changes are lists of them. */
export type Adjustment = { id: Id; do: Change; where: Where }
