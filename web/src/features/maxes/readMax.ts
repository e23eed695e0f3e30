import { maxSchema, type GivenMax } from '@young-oak/api/maxes'
import { exerciseOf, isExercise, type Library } from '@young-oak/core/library'
import type { FormulaKind } from '@young-oak/core/maxes'
import { typedNumber } from '@young-oak/core/units'
import { ValidationError } from 'yup'
import { today } from '../../app/today.ts'
import type { TypedSet } from '../../ui/SetFields.tsx'

/** A max as it is typed. */
export type TypedMax = TypedSet & { exercise: string; variant: string; formula: FormulaKind; date: string }

/** Whether the load of the lift goes on top of body weight. */
export const isOnBody = (library: Library, exercise: string): boolean =>
  isExercise(library, exercise) && exerciseOf(library, { exercise }).tool === 'body weight'

/** The max that was typed; or what is wrong with it, field by field. A load below 0 on body weight is assistance. */
export function readMax(
  library: Library,
  typed: TypedMax,
): { given?: GivenMax; errors: Record<string, string> } {
  const rir = typedNumber(typed.rir)
  const value = typedNumber(typed.load)
  const help = isOnBody(library, typed.exercise) && typeof value === 'number' && value < 0
  const variant = typed.variant.trim()
  const given = {
    exercise: isExercise(library, typed.exercise) ? typed.exercise : undefined,
    ...(variant && { variant }),
    load: { value: help ? -value : value, unit: typed.unit },
    ...(help && { help }),
    reps: typedNumber(typed.reps),
    ...(rir ? { rir } : {}),
    formula: typed.formula,
    date: typed.date,
    today: today(),
  }
  try {
    const read = maxSchema.validateSync(given, { strict: true, abortEarly: false, context: { library } })
    return { given: read, errors: {} }
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return { errors: Object.fromEntries(error.inner.map(({ path, message }) => [path ?? '', message])) }
  }
}
