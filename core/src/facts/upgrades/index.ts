import type { Fact } from '../registry.ts'
import { factFrom1 } from './fact1.ts'

/** The format that facts are written in today; the database keeps the number beside each. */
export const factFormat = 2

const steps: Record<number, (fact: unknown) => unknown> = { 1: factFrom1 }

/** A fact as it was stored, in today's format. */
export function upgradeFact(fact: unknown, format: number): Fact {
  const step = Object.hasOwn(steps, format) ? steps[format] : undefined
  return step ? upgradeFact(step(fact), format + 1) : (fact as Fact)
}
