import { renewCommand } from '@young-oak/core/template'
import { useAppDispatch, useAppSelector } from '../../app/store.ts'
import { Button } from '../../ui/Button.tsx'
import { leaveAside, putIn } from './editorSlice.ts'

/** Edits of mine that met one made elsewhere: each with what stands now, to be put in over it or left. */
export function SetAside() {
  const dispatch = useAppDispatch()
  const aside = useAppSelector(({ editor }) => editor.aside)
  const draft = useAppSelector(({ editor }) => editor.draft)
  if (!aside.length || !draft) return null
  return (
    <section aria-label="Edits not applied" className="rounded bg-acorn-wash px-3 py-2 text-sm">
      <p className="font-medium text-acorn">
        {aside.length === 1 ? 'An edit of yours' : `${aside.length} edits of yours`} could not be applied.
        Nothing is lost: apply the edit over the current value, or discard it.
      </p>
      <ul className="mt-1 grid gap-1">
        {aside.map(({ id, name, reason, command, says }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-3">
            <span className="font-medium">{name}</span>
            <span className="text-bark">{reason}</span>
            {says !== undefined && (
              <details className="basis-full">
                <summary>What the edit says</summary>
                <pre className="max-h-40 overflow-auto text-xs whitespace-pre-wrap">{says}</pre>
              </details>
            )}
            {command && renewCommand(draft, command) && (
              <Button look="quiet" className="min-h-0" onClick={() => dispatch(putIn(id))}>
                Apply my edit
              </Button>
            )}
            <Button look="quiet" className="min-h-0" onClick={() => dispatch(leaveAside(id))}>
              Discard edit
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
