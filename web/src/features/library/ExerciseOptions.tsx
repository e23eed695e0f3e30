import { exercisesAtHand, liftName, type ExerciseId } from '@young-oak/core/library'

type Props = { title: string; fits: (id: ExerciseId) => boolean }

/** The exercises to choose from in a list, those that fit, behind what the list says before one is chosen. */
export const ExerciseOptions = ({ title, fits }: Props) => (
  <>
    <option value="">{title}</option>
    {exercisesAtHand()
      .filter(fits)
      .map((id) => (
        <option key={id} value={id}>
          {liftName({ exercise: id })}
        </option>
      ))}
  </>
)
