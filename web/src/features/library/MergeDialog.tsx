import { useLibrary } from './useLibrary.ts'
import { useState } from 'react'
import { toast } from 'sonner'
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
import { SelectField } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { ExerciseOptions } from './ExerciseOptions.tsx'

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
      about="Templates, maxes and everything that was logged under it are read as the other exercise from now on. What members were shown stays as it was. It can be taken back."
      isOpen
      onClose={onClose}
    >
      <SelectField
        label="Merge into"
        hint="Only exercises whose load means the same are listed."
        value={into}
        error={error && sayError(error)}
        onChange={(event) => setInto(event.target.value)}
      >
        <ExerciseOptions title="choose an exercise" fits={fits} />
      </SelectField>
      <div className="mt-4 flex justify-end gap-2">
        <Button look="quiet" onClick={onClose}>
          Cancel
        </Button>
        <Button disabled={!into || isLoading} onClick={() => void save()}>
          Merge
        </Button>
      </div>
    </Modal>
  )
}
