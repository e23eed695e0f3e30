import { exercisesAtHand, liftName, type ExerciseId } from '@young-oak/core/library'
import { useLibrary } from './useLibrary.ts'

type Props = { title: string; fits: (id: ExerciseId) => boolean }

/** The exercises to choose from in a list, those that fit, behind what the list says before one is chosen. */
export function ExerciseOptions({ title, fits }: Props) {
  const library = useLibrary()
  return (
    <>
      <option value="">{title}</option>
      {exercisesAtHand(library)
        .filter(fits)
        .map((id) => (
          <option key={id} value={id}>
            {liftName(library, { exercise: id })}
          </option>
        ))}
    </>
  )
}
