import { Popover } from 'radix-ui'
import { memo, useState } from 'react'
import type { Template } from '@young-oak/core/template'
import { api } from '../../app/api.ts'
import { useAppDispatch } from '../../app/store.ts'
import { Finder } from '../../ui/Finder.tsx'
import { Select, type Option } from '../../ui/Select.tsx'
import { edit } from './editorSlice.ts'
import { sampleId, sampleNames, strengths } from './samples.ts'

/** The name of the template, changed where it stands. */
export function NameField({ name }: { name: string }) {
  const dispatch = useAppDispatch()
  const [typed, setTyped] = useState(name)
  const [was, setWas] = useState(name)
  if (was !== name) {
    setWas(name)
    setTyped(name)
  }
  const save = () => {
    const to = typed.trim().slice(0, 120)
    if (to && to !== name) dispatch(edit({ do: 'setName', from: name, to }))
    else setTyped(name)
  }
  return (
    <input
      aria-label="Name of the template"
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      size={Math.max(typed.length, 12)}
      className="field-sizing-content min-w-32 rounded border border-transparent bg-transparent px-1 font-serif text-2xl font-semibold hover:border-line focus:border-edge"
    />
  )
}

type PickerProps = { member: string; onChoose: (id: string) => void; isRunning?: boolean; error?: string }

/** Whose loads stand beside the lines: a member’s, or those of somebody made up. */
export const MemberPicker = memo(function MemberPicker({ member, onChoose, isRunning, error }: PickerProps) {
  const { data } = api.useMembersQuery()
  const people = [
    ...strengths.map((strength) => ({ value: sampleId(strength), said: sampleNames[strength] })),
    ...(data ?? []).flatMap(({ id, name, isMine }) => (isMine ? [{ value: id, said: name }] : [])),
  ]
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <span aria-hidden>Loads of</span>
      <Finder
        label="Loads of"
        isBare
        isOptional
        className="min-h-9 max-w-56 min-w-32 px-2"
        chosen={people.find(({ value }) => value === member)?.said ?? null}
        placeholder="nobody"
        typing="a name"
        nothing="No member has this in the name."
        find={(words) => people.filter(({ said }) => said.toLowerCase().includes(words.toLowerCase()))}
        onChoose={onChoose}
      />
      {member && error && <span className="text-brick">{error}</span>}
      {member && isRunning === true && (
        <span className="text-bark" title="Past weeks stay as they were shown.">
          on this program
        </span>
      )}
      {member && !member.startsWith('sample:') && isRunning === false && (
        <span className="text-bark">not on the program: as if starting today</span>
      )}
    </div>
  )
})

type TrackProps = {
  draft: Template
  track: string
  laid: string[]
  onChoose: (track: string) => void
  onLay: (tracks: string[]) => void
}

/** A track whose differences are marked in the sheet, and tried on the chosen member; and those that are laid over the strip. */
export const TrackPicker = memo(function TrackPicker({ draft, track, laid, onChoose, onLay }: TrackProps) {
  const tracks = Object.entries(draft.tracks)
  if (!tracks.length) return null
  return (
    <div className="flex flex-wrap items-center gap-3 text-sm">
      <label className="flex items-center gap-2">
        Track
        <Select
          value={track}
          options={[['', 'as written'], ...tracks.map(([id, { name }]): Option<string> => [id, name])]}
          onChoose={onChoose}
        />
      </label>
      <Popover.Root>
        <Popover.Trigger className="min-h-9 underline underline-offset-4 hover:text-leaf">
          Compare tracks{laid.length > 0 && `: ${laid.length}`}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={4}
            aria-label="Tracks compared on the strip"
            className="z-50 rounded-md border border-edge bg-sheet p-3 text-sm text-ink"
          >
            {tracks.map(([id, { name }]) => (
              <label key={id} className="flex min-h-8 items-center gap-2">
                <input
                  type="checkbox"
                  className="accent-leaf"
                  checked={laid.includes(id)}
                  onChange={(event) =>
                    onLay(event.target.checked ? [...laid, id] : laid.filter((one) => one !== id))
                  }
                />
                {name}
              </label>
            ))}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  )
})
