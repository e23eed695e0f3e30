import { useLibrary } from '../../library/useLibrary.ts'
import { useState } from 'react'
import type { Adjustment } from '@young-oak/core/adjustments'
import { onlyInTrack, removeChange, removeTrack } from '@young-oak/core/editing'
import { liftName } from '@young-oak/core/library'
import { sayAdjustment, type Template } from '@young-oak/core/template'
import { Alert } from '../../../ui/Alert.tsx'
import { Button } from '../../../ui/Button.tsx'
import { Tiny } from './Tiny.tsx'
import { mint } from '../mint.ts'
import { SavedField } from './SavedField.tsx'
import type { Selected } from './selected.ts'
import { TrackChangeForm } from './TrackChangeForm.tsx'
import { usePut } from './usePut.ts'

type Props = { draft: Template; selected: Selected }

/** The tracks of a template: each is a list of changes of what is written, which goes on reaching all of them. */
export function TrackAspect({ draft, selected }: Props) {
  const { put, fault } = usePut(draft)
  const tracks = Object.entries(draft.tracks)
  const [chosen, setChosen] = useState('')
  const [added, setAdded] = useState('')
  const id = draft.tracks[chosen] ? chosen : (tracks[0]?.[0] ?? '')
  const track = draft.tracks[id]
  const add = () => {
    const fresh = mint()
    const to = { name: `Track ${tracks.length + 1}`, changes: [] }
    if (!put({ do: 'setTrack', track: fresh, from: null, to })) return
    setChosen(fresh)
    setAdded(fresh)
  }
  return (
    <section aria-label="Tracks" className="grid gap-4">
      <p className="text-sm text-bark">
        Every track uses the sheet as written. A track lists only its changes.
      </p>
      <div className="flex flex-wrap gap-2">
        {tracks.map(([one, { name, changes }]) => (
          <Button
            key={one}
            look="plain"
            aria-pressed={one === id}
            className={`text-sm ${one === id ? 'border-leaf bg-leaf-wash' : ''}`}
            onClick={() => setChosen(one)}
          >
            {name} <span className="text-bark">{changes.length}</span>
          </Button>
        ))}
        <Button look="quiet" className="text-sm" onClick={add}>
          Add a track
        </Button>
      </div>
      {track && <Track key={id} draft={draft} id={id} isNew={id === added} selected={selected} put={put} />}
      <Alert className="rounded bg-brick-wash px-2 py-1">{fault}</Alert>
    </section>
  )
}

type TrackProps = {
  draft: Template
  id: string
  isNew: boolean
  selected: Selected
  put: ReturnType<typeof usePut>['put']
}

/** One track: its name, its changes, and what can be added to it. */
function Track({ draft, id, isNew, selected, put }: TrackProps) {
  const library = useLibrary()
  const [isAdding, setAdding] = useState(false)
  const { slot: slotId } = selected
  const slot = slotId === undefined ? undefined : draft.slots[slotId]
  const track = draft.tracks[id]
  if (!track) return null
  return (
    <>
      <SavedField
        isNew={isNew}
        label="Name of the track"
        value={track.name}
        onSave={(to) => {
          if (!to) return 'A track needs a name.'
          put({ do: 'setTrackName', track: id, from: track.name, to })
        }}
      />
      <ChangeLines
        draft={draft}
        changes={track.changes}
        onRemove={(change) => put(removeChange(library, draft, id, change.id))}
      />
      {slot && slotId !== undefined && (
        <Button
          look="quiet"
          className="-ml-3.5 justify-self-start text-sm"
          onClick={() => put(onlyInTrack(library, draft, slotId, id, mint))}
        >
          {liftName(library, slot)}: only in this track
        </Button>
      )}
      {isAdding ? (
        <TrackChangeForm
          draft={draft}
          selected={selected}
          onPut={(to) =>
            put({ do: 'setChange', track: id, change: to.id, from: null, to }) && setAdding(false)
          }
          onClose={() => setAdding(false)}
        />
      ) : (
        <Button look="plain" className="justify-self-start" onClick={() => setAdding(true)}>
          Add a change…
        </Button>
      )}
      <Button
        look="quiet"
        className="-ml-3.5 justify-self-start text-sm"
        onClick={() => put(removeTrack(draft, id))}
      >
        Remove the track
      </Button>
    </>
  )
}

type LinesProps = {
  draft: Template
  changes: Adjustment[]
  onRemove: (change: Adjustment) => void
}

function ChangeLines({ draft, changes, onRemove }: LinesProps) {
  const library = useLibrary()
  if (!changes.length) return <p className="text-sm text-bark">No changes yet: the track is as written.</p>
  return (
    <ul className="grid gap-1 text-sm">
      {changes.map((change) => {
        const { where, what } = sayAdjustment(library, draft, change)
        return (
          <li key={change.id} className="flex items-baseline justify-between gap-2 border-b border-line pb-1">
            <span>
              <span className="font-medium">{where}:</span> {what}
            </span>
            <Tiny label={`Remove: ${where}, ${what}`} onClick={() => onRemove(change)}>
              remove
            </Tiny>
          </li>
        )
      })}
    </ul>
  )
}
