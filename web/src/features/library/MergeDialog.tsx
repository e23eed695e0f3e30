import { useLibrary } from './useLibrary.ts'
import { useState } from 'react'
import { toast } from '../../ui/toast.ts'
import {
  declaredAs,
  liftName,
  mergeFault,
  type ExerciseId,
  type OwnExercise,
  type OwnId,
} from '@young-oak/core/library'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { ExercisePicker } from './ExercisePicker.tsx'

type Props = { id: OwnId; exercise: OwnExercise; onClose: () => void }

/** Chooses the exercise that one of the gym's own becomes. */
export function MergeDialog({ id, exercise, onClose }: Props) {
  const library = useLibrary()
  const [into, setInto] = useState('')
  const [merge, { isLoading, error }] = api.useMergeExerciseMutation()
  const fits = (other: ExerciseId) => {
    const target = declaredAs(library, other)
    return other !== id && target !== undefined && mergeFault(exercise, target) === null
  }
  const save = async () => {
    const answer = await merge({ id, into })
    if (answer.error) return
    toast(`${exercise.name} is now ${liftName(library, { exercise: into as ExerciseId })}.`)
    onClose()
  }
  return (
    <Modal
      title={`Merge ${exercise.name}`}
      about="Templates, maxes and everything that was logged under it are read as the other exercise from now on. Past sessions stay as they were shown. The merge can be undone."
      isOpen
      onClose={onClose}
    >
      <ExercisePicker
        label="Merge into"
        hint="Only exercises whose load means the same are listed."
        placeholder="choose an exercise"
        value={into}
        error={error && sayError(error)}
        fits={fits}
        onChoose={setInto}
      />
      <div className="mt-4 flex justify-end gap-2">
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
        <Button disabled={!into || isLoading} onClick={() => void save()}>
          Merge exercises
        </Button>
      </div>
    </Modal>
  )
}
