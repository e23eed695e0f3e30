import { mixed, number, object, string, type TestContext } from 'yup'
import { exerciseOf, isExercise, isExerciseId, type ExerciseId, type Library } from '@young-oak/core/library'
import { isDay, type Unit } from '@young-oak/core/units'
import { loadFault, noNumber, repsFault } from './typed.ts'

/** Whose exercise it is, and whether it is there, is asked of the gym's library afterwards. */
export const exercise = () => mixed<ExerciseId>(isExerciseId)
export const day = () =>
  string().test('day', 'This day does not exist.', (value) => value === undefined || isDay(value))

export const loadFrom = (least: 'something' | 'nothing') =>
  object({
    value: number()
      .typeError(noNumber.load)
      .required('Enter the load.')
      .test('load', (value, context) => {
        const { unit = 'kg' } = context.parent as { unit?: Unit }
        return said(loadFault(value, unit, least), context)
      }),
    unit: mixed<Unit>((value): value is Unit => value === 'kg' || value === 'lb').required(
      'Choose kg or lb.',
    ),
  })

export const loadSchema = loadFrom('something')

/**
 * What is handled beside body weight: it may be nothing, and it may help. Of any other exercise it is neither. The gym's library comes
 * as the context of the check; what is in none of it is refused elsewhere.
 */
export function fitsBody(
  { exercise, load, help }: { exercise: ExerciseId; load?: { value: number }; help?: true },
  { library = {} }: { library?: Library } = {},
): boolean {
  if (!isExercise(library, exercise)) return true
  return exerciseOf(library, { exercise }).tool === 'body weight' || (load?.value !== 0 && !help)
}
export const fitsBodyMessage = 'Only a body-weight exercise can have a load of 0, or assistance.'

export const mark = () => mixed<true>((value): value is true => value === true).optional()

export const repsSchema = number()
  .typeError(noNumber.reps)
  .test('reps', (value, context) => value === undefined || said(repsFault(value), context))

const said = (fault: string | null, { createError }: TestContext) =>
  fault === null || createError({ message: fault })
