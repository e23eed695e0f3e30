import { typedNumber } from '@young-oak/core/units'
import { mostInReserve, mostRepsWarned } from '@young-oak/core/maxes'
import type { Load } from '@young-oak/core/units'
import type { TypedSet } from '../../ui/SetFields.tsx'

type Read = {
  set?: { load: Load; reps: number; rir: number }
  errors: Partial<Record<keyof TypedSet, string>>
}

/** What was typed as a set, or what is wrong with it, beside the field; an empty load is nothing wrong yet. */
export function readSet(typed: TypedSet): Read {
  const [value, reps, rir] = [typed.load, typed.reps, typed.rir || '0'].map(typedNumber)
  const errors: Read['errors'] = {}
  if (value !== undefined && !(typeof value === 'number' && value > 0 && value <= 1000))
    errors.load = 'A load above 0 and at most 1000.'
  if (!isWhole(reps, 1, mostRepsWarned)) errors.reps = `Whole reps, 1 to ${mostRepsWarned}.`
  if (!isWhole(rir, 0, mostInReserve)) errors.rir = `0 to ${mostInReserve}: more is not trusted.`
  if (Object.keys(errors).length || value === undefined) return { errors }
  const load = { value: value as number, unit: typed.unit }
  return { set: { load, reps: reps as number, rir: rir as number }, errors }
}

const isWhole = (value: unknown, from: number, to: number): boolean =>
  Number.isInteger(value) && (value as number) >= from && (value as number) <= to
