import { handWith } from '../plan/prescribe/hand.ts'
import type { Exposure, Hand } from '../progressions/index.ts'
import { makeable, usualRack, type Load, type Unit } from '../units/index.ts'

/** What rules are handed by a member with the usual bar and plates at home. */
export function handOfUnit(unit: Unit, isSmall = false): Hand {
  const rack = makeable(usualRack[unit])
  return handWith({ here: rack, home: rack }, 'nearest', isSmall)
}

/** An exposure in the main role, of the second week where nothing else is said. */
export const exposureOf = (given: Partial<Exposure> & Pick<Exposure, 'verdict'>): Exposure => ({
  date: '2026-03-04',
  at: { week: 2, inWeek: 1 },
  role: 'main',
  target: null,
  asked: 5,
  reps: [5, 5, 5],
  ...given,
})

/** Epley's estimate of a set with what was left, for worked checks: load × (1 + (reps + left) ÷ 30). */
export const topOf = (value: number, reps: number, left?: number): NonNullable<Exposure['top']> => ({
  load: { value, unit: 'kg' },
  reps,
  ...(left !== undefined && { rir: left }),
  estimate: {
    value: Math.round(value * (1 + (reps + (left ?? 0)) / 30) * 10000) / 10000,
    unit: 'kg',
  } satisfies Load,
})
