import { useLibrary } from './useLibrary.ts'
import { toast } from '../../ui/toast.ts'
import { liftName, type OwnExercise, type OwnExercises, type OwnId } from '@young-oak/core/library'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'

/** The gym's exercises that are merged into others, each of which can be taken back. */
export function Merged({ exercises, isStaff }: { exercises: OwnExercises; isStaff: boolean }) {
  const library = useLibrary()
  const [merge, { isLoading }] = api.useMergeExerciseMutation()
  const merged = (Object.entries(exercises) as [OwnId, OwnExercise][]).filter(([, one]) => one.mergedInto)
  if (!merged.length) return null
  const takeBack = async (id: OwnId) => {
    const { error } = await merge({ id, into: null })
    if (error) toast(sayError(error))
  }
  return (
    <section aria-labelledby="merged" className="mt-6">
      <h2 id="merged" className="text-xl">
        Merged
      </h2>
      <ul className="mt-1 divide-y divide-line border-y border-line">
        {merged.map(([id, { name, mergedInto }]) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-2 py-1">
            <span>
              {name}{' '}
              <span className="text-bark">
                is read as {mergedInto && liftName(library, { exercise: mergedInto })}
              </span>
            </span>
            {isStaff && (
              <Button
                look="quiet"
                disabled={isLoading}
                aria-label={`Undo merge: ${name}`}
                onClick={() => void takeBack(id)}
              >
                Undo merge
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
