import { FormProvider, useForm } from 'react-hook-form'
import type { OwnExercise, OwnId } from '@young-oak/core/library'
import { api, sayError } from '../../app/api.ts'
import { draftResolver } from '../../app/draftResolver.ts'
import { Acts } from '../../ui/Acts.tsx'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { Kind, Muscles, Names, Notes, Substitutes, Suits } from './ExerciseFields.tsx'
import { draftOf, emptyDraft, readDraft, type ExerciseDraft } from './exerciseDraft.ts'

type Props = {
  /** One that is changed; none for a new one. */
  own?: { id: OwnId; exercise: OwnExercise }
  /** What a new one is called, where that was typed already. */
  name?: string
  onClose: () => void
}

/** An exercise of the gym's own: added, or its name and notes changed. What is typed stays when something is wrong with it. */
export function ExerciseForm({ own, name, onClose }: Props) {
  const form = useForm<ExerciseDraft, unknown, OwnExercise>({
    resolver: draftResolver(readDraft),
    defaultValues: own ? draftOf(own.exercise) : emptyDraft(name),
  })
  const [add, adding] = api.useAddExerciseMutation()
  const [change, changing] = api.useChangeExerciseMutation()
  const save = async (exercise: OwnExercise) => {
    const { error } = own ? await change({ id: own.id, exercise }) : await add(exercise)
    if (!error) return onClose()
    for (const [field, message] of Object.entries(faultsOf(error)))
      form.setError(field as keyof ExerciseDraft | 'root', { message })
  }
  const { root } = form.formState.errors
  return (
    <Modal
      title={own ? own.exercise.name : 'Your own exercise'}
      about={
        own
          ? 'Plans use its tool, load and muscles, so these cannot change. To change them, add a new exercise and merge this one into the new one.'
          : 'Your exercise is counted, loaded and found like every other. Tool, load and muscles cannot change after you add it.'
      }
      isOpen
      isWide
      onClose={onClose}
    >
      <FormProvider {...form}>
        <form
          noValidate
          className="grid gap-4"
          onSubmit={(event) => {
            // A dialog of a page that has forms of its own.
            event.stopPropagation()
            void form.handleSubmit(save)(event)
          }}
        >
          <Names />
          <fieldset disabled={own !== undefined} className="grid gap-4 disabled:opacity-70">
            <Kind />
            <Muscles />
          </fieldset>
          <Suits />
          <Notes own={own?.id} />
          <Substitutes own={own?.id} />
          {root && (
            <p role="alert" className="rounded bg-brick-wash px-2 py-1 text-brick">
              {root.message}
            </p>
          )}
          <Acts>
            <Button look="plain" onClick={onClose}>
              Cancel
            </Button>
            <Button type="submit" disabled={adding.isLoading || changing.isLoading}>
              {own ? 'Save exercise' : 'Add exercise'}
            </Button>
          </Acts>
        </form>
      </FormProvider>
    </Modal>
  )
}

/** What the server found wrong, beside the field that it speaks of. */
function faultsOf(error: unknown): Record<string, string> {
  const { data } = error as { data?: { errors?: { path: string; message: string }[] } }
  const found = Object.fromEntries((data?.errors ?? []).map(({ path, message }) => [path, message]))
  return Object.keys(found).length ? found : { root: sayError(error) }
}
