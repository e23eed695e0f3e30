import {
  exercisesAtHand,
  findExercises,
  isExercise,
  liftName,
  type ExerciseId,
} from '@young-oak/core/library'
import { Finder } from '../../ui/Finder.tsx'
import { useLibrary } from './useLibrary.ts'

type Props = {
  label: string
  isBare?: true
  value: string
  placeholder: string
  isOptional?: true
  fits: (id: ExerciseId) => boolean
  hint?: string
  error?: string
  onChoose: (id: ExerciseId | '') => void
}

/** One exercise of many, found by any word of its name, a muscle or a pattern, as in the sheet. */
export function ExercisePicker({ value, fits, ...rest }: Props) {
  const library = useLibrary()
  return (
    <Finder
      {...rest}
      chosen={isExercise(library, value) ? liftName(library, { exercise: value }) : null}
      typing="a name, a muscle, a pattern"
      nothing="No exercise fits. Remove a word."
      find={(words) =>
        (words ? findExercises(library, words) : exercisesAtHand(library))
          .filter(fits)
          .map((id) => ({ value: id, said: liftName(library, { exercise: id }) }))
      }
    />
  )
}
