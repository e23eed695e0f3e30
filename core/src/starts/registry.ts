import * as starts from './index.ts'
import type { Start } from './start.ts'

export type StartKind = keyof typeof starts
export const startOf: Record<StartKind, Start> = starts

const levels = ['novice', 'intermediate', 'advanced']
const rank = ({ level, phases }: Start) => levels.indexOf(level) * 100 + (phases[0]?.perWeek ?? 0)

/** From few days and beginners to many days and the strongest. */
export const startKinds = (Object.keys(starts) as StartKind[]).sort(
  (a, b) => rank(startOf[a]) - rank(startOf[b]),
)
export { templateOf, type Start } from './start.ts'
