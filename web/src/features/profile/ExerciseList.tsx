import { liftName, type ExerciseId } from '@young-oak/core/library'
import { Button } from '../../ui/Button.tsx'
import { ExercisePicker } from '../library/ExercisePicker.tsx'
import { useLibrary } from '../library/useLibrary.ts'

type Props = {
  label: string
  exercises: ExerciseId[]
  most: number
  fits: (id: ExerciseId) => boolean
  onChange: (exercises: ExerciseId[]) => void
}

/** Some exercises, found and added one by one. */
export function ExerciseList({ label, exercises, most, fits, onChange }: Props) {
  const library = useLibrary()
  return (
    <div>
      {exercises.length < most && (
        <ExercisePicker
          label={label}
          value=""
          placeholder="Add an exercise"
          fits={(id) => fits(id) && !exercises.includes(id)}
          onChoose={(id) => id && onChange([...exercises, id])}
        />
      )}
      {exercises.length > 0 && (
        <ul aria-label={label} className="mt-1">
          {exercises.map((exercise) => {
            const name = liftName(library, { exercise })
            return (
              <li key={exercise} className="flex items-center gap-3">
                <span className="grow">{name}</span>
                <Button
                  look="quiet"
                  className="text-sm"
                  aria-label={`Remove ${name}`}
                  onClick={() => onChange(exercises.filter((one) => one !== exercise))}
                >
                  Remove
                </Button>
              </li>
            )
          })}
        </ul>
      )}
    </div>
  )
}
