import { trackDifferences, type Template } from '@young-oak/core/template'
import { ChangeList } from './ChangeList.tsx'

/** The tracks of the template: what each changes of what is written above. */
export function TrackList({ draft }: { draft: Template }) {
  const tracks = Object.entries(draft.tracks)
  if (!tracks.length) return null
  return (
    <section aria-label="Tracks" className="border-t border-line pt-3">
      <h2 className="text-lg">Tracks</h2>
      <div className="mt-1 grid gap-x-8 gap-y-4 md:grid-cols-2 xl:grid-cols-3">
        {tracks.map(([id, { name, changes }]) => (
          <section key={id} aria-label={name}>
            <h3 className="font-medium">{name}</h3>
            {changes.length ? (
              <ChangeList changes={trackDifferences(draft, id)} />
            ) : (
              <p className="text-sm text-bark">Everything as it is written.</p>
            )}
          </section>
        ))}
      </div>
    </section>
  )
}
