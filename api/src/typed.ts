import type { Unit } from '@young-oak/core/units'

// What may be typed of a set, without a schema, so that a phone can check it before anything else is loaded; the schemas ask here too.

/** The heaviest load that is taken for a lift rather than for a slip of the thumb. */
export const heaviest: Record<Unit, number> = { kg: 500, lb: 1100 }
const mostReps = 100
export const noNumber = { load: 'Enter the load as a number.', reps: 'Enter the reps as a number.' }

/** What is wrong with a load, in words; nothing where it can be lifted. */
export function loadFault(value: unknown, unit: Unit, least: 'something' | 'nothing'): string | null {
  if (typeof value !== 'number' || Number.isNaN(value)) return noNumber.load
  if (least === 'nothing' ? value < 0 : value <= 0) return 'A load is more than 0.'
  if (value > heaviest[unit]) return `More than ${heaviest[unit]} ${unit} is not taken: check the number.`
  return null
}

/** What is wrong with reps, in words; nothing where they can be done. */
export function repsFault(value: unknown): string | null {
  if (typeof value !== 'number' || Number.isNaN(value)) return noNumber.reps
  if (!Number.isInteger(value)) return 'Reps are whole numbers.'
  if (value < 0) return 'Reps cannot be less than 0.'
  if (value > mostReps) return `More than ${mostReps} reps is not taken: check the number.`
  return null
}
