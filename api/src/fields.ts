import { mixed, number, object, string } from 'yup'
import { exerciseOf, isExercise, isExerciseId, type ExerciseId, type Library } from '@young-oak/core/library'
import { isDay, type Unit } from '@young-oak/core/units'

/** The heaviest load that is taken for a lift rather than for a slip of the thumb. */
export const heaviest: Record<Unit, number> = { kg: 500, lb: 1100 }

/** Whose exercise it is, and whether it is there, is asked of the gym's library afterwards. */
export const exercise = () => mixed<ExerciseId>(isExerciseId)
export const day = () =>
  string().test('day', 'This day does not exist.', (value) => value === undefined || isDay(value))

export const loadFrom = (least: 'something' | 'nothing') =>
  object({
    value: number()
      .typeError('Enter the load as a number.')
      .required('Enter the load.')
      .test('least', 'A load is more than 0.', (value) => (least === 'nothing' ? value >= 0 : value > 0))
      .test('heaviest', (value, context) => {
        const unit = (context.parent as { unit?: Unit }).unit ?? 'kg'
        return (
          value <= heaviest[unit] ||
          context.createError({
            message: `More than ${heaviest[unit]} ${unit} is not taken: check the number.`,
          })
        )
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
  .typeError('Enter the reps as a number.')
  .integer('Reps are whole numbers.')
  .min(0, 'Reps cannot be less than 0.')
  .max(100, 'More than 100 reps is not taken: check the number.')
