import * as starts from './kinds.ts'
import type { Starter } from './starter.ts'

export type StarterKind = keyof typeof starts
export const starterOf: Record<StarterKind, Starter> = starts

const levels = ['novice', 'intermediate', 'advanced']
const rank = ({ level, phases }: Starter) => levels.indexOf(level) * 100 + (phases[0]?.perWeek ?? 0)

/** From few days and beginners to many days and the strongest. */
export const starterKinds = (Object.keys(starts) as StarterKind[]).sort(
  (a, b) => rank(starterOf[a]) - rank(starterOf[b]),
)
