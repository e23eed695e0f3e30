import * as starts from './index.ts'
import type { Start } from './start.ts'

export type StartKind = keyof typeof starts
export const startOf: Record<StartKind, Start> = starts
export const startKinds = Object.keys(starts) as StartKind[]
export { templateOf, type Start } from './start.ts'
