import { useState } from 'react'
import { toast } from 'sonner'
import type { Template } from '@young-oak/core/template'
import { isDay, formatDay } from '@young-oak/core/units'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { useAppSelector } from '../../app/store.ts'
import { nextMonday, today } from '../../app/today.ts'
import { Acts } from '../../ui/Acts.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectField } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { ChangeList } from './inspector/ChangeList.tsx'
import { MemberChoice } from './MemberChoice.tsx'

type Props = {
  id: string
  isOpen: boolean
  isPublished: boolean
  onPublished: () => void
  onClose: () => void
}

/** Publishes the draft as the next version: what it changes, to whom, from when and how. */
export function PublishDialog({ id, isOpen, isPublished, onPublished, onClose }: Props) {
  return (
    <Modal
      title="Publish"
      about={
        isPublished
          ? 'Past sessions stay as they were shown.'
          : 'Members see their own loads from the start date on.'
      }
      isOpen={isOpen}
      onClose={onClose}
    >
      <PublishForm id={id} isPublished={isPublished} onPublished={onPublished} onClose={onClose} />
    </Modal>
  )
}

/** "keep" leaves everybody on the track they are on; '' is no track. */
type Chosen = {
  members: string[]
  start: string
  note: string
  begins: 'week' | 'session'
  clock: 'own' | 'calendar'
  track: string
}

function PublishForm({ id, isPublished, onPublished, onClose }: Omit<Props, 'isOpen'>) {
  const [publish, { error, isLoading }] = api.usePublishMutation()
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const draft = useAppSelector(({ editor }) => editor.draft)
  const [chosen, setChosen] = useState<Chosen>(() => ({
    members: [],
    start: isPublished ? today() : nextMonday(today()),
    note: '',
    begins: 'week',
    clock: countsBack(draft) ? 'calendar' : 'own',
    track: 'keep',
  }))
  const [isTried, setTried] = useState(false)
  const put = (change: Partial<Chosen>) => setChosen({ ...chosen, ...change })
  const { members, start, track } = chosen
  const send = async () => {
    setTried(true)
    if (!members.length || !isDay(start)) return
    const { track: _, ...rest } = chosen
    const answer = await publish({ id, ...rest, ...(track !== 'keep' && { track: track || null }) })
    if (!answer.data) return
    const count = answer.data.members
    toast(
      `Version ${answer.data.number} is published to ${count} ${count === 1 ? 'member' : 'members'}, from ${formatDay(start)}.`,
    )
    onClose()
    onPublished()
  }
  const errors = fieldErrors(error)
  return (
    <form
      className="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void send()
      }}
    >
      {isPublished && waiting === 0 && <Changes id={id} />}
      <MemberChoice
        name={draft?.name ?? ''}
        chosen={members}
        onChoose={(next) => put({ members: next })}
        error={isTried && !members.length ? 'Choose at least one member.' : undefined}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="From"
          type="date"
          value={start}
          error={errors.start ?? (isTried && !isDay(start) ? 'Choose a start date.' : undefined)}
          onChange={(event) => put({ start: event.target.value })}
        />
        {isPublished && (
          <SelectField
            label="Members already on the program change"
            value={chosen.begins}
            hint="A started week is finished first, unless you choose the next session."
            onChange={(event) => put({ begins: event.target.value as Chosen['begins'] })}
          >
            <option value="week">with their next week</option>
            <option value="session">with their next session</option>
          </SelectField>
        )}
        <SelectField
          label="A week of a new member ends"
          value={chosen.clock}
          hint={countsBack(draft) ? 'A test day needs weeks on dates.' : undefined}
          disabled={countsBack(draft)}
          onChange={(event) => put({ clock: event.target.value as Chosen['clock'] })}
        >
          <option value="own">when its sessions are done</option>
          <option value="calendar">on their dates</option>
        </SelectField>
        <TrackField draft={draft} track={track} onChoose={(next) => put({ track: next })} />
      </div>
      <Field
        label="Note (optional)"
        value={chosen.note}
        maxLength={2000}
        onChange={(event) => put({ note: event.target.value })}
      />
      {error && !errors.start && (
        <div role="alert" className="text-brick">
          <p>{sayError(error)}</p>
          <ul className="list-disc pl-5 text-sm">
            {Object.values(errors).map((message) => (
              <li key={message}>{message}</li>
            ))}
          </ul>
        </div>
      )}
      <Acts>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
        <Button type="submit" disabled={isLoading || waiting > 0}>
          {waiting > 0
            ? 'Saving the last edits…'
            : isLoading
              ? 'Publishing…'
              : `Publish to ${members.length} ${members.length === 1 ? 'member' : 'members'}`}
        </Button>
      </Acts>
    </form>
  )
}

const countsBack = (draft: Template | null): boolean => draft?.phases.some(({ ends }) => ends) ?? false

type TrackProps = { draft: Template | null; track: string; onChoose: (track: string) => void }

function TrackField({ draft, track, onChoose }: TrackProps) {
  const tracks = Object.entries(draft?.tracks ?? {})
  if (!tracks.length) return null
  return (
    <SelectField
      label="Track"
      value={track}
      hint={track === 'keep' ? 'New members start the template as written.' : undefined}
      onChange={(event) => onChoose(event.target.value)}
    >
      <option value="keep">keep each member’s track</option>
      <option value="">as written, for all</option>
      {tracks.map(([id, { name }]) => (
        <option key={id} value={id}>
          {name}, for all
        </option>
      ))}
    </SelectField>
  )
}

/** What this version changes against the one before. */
function Changes({ id }: { id: string }) {
  const { data, error } = api.useChangesQuery(id, { refetchOnMountOrArgChange: true })
  if (error) return <p className="text-sm text-brick">{sayError(error)}</p>
  if (!data) return <p className="text-sm text-bark">Comparing with the last version…</p>
  const { since, changes } = data
  return (
    <section aria-label="What changes" className="rounded-md border border-line bg-paper px-3 py-2">
      <h3 className="text-sm font-medium">
        {changes.length
          ? `${changes.length} ${changes.length === 1 ? 'change' : 'changes'} since version ${since}`
          : `Nothing has changed since version ${since}`}
      </h3>
      {changes.length > 0 && (
        <div className="mt-1 max-h-44 overflow-y-auto" tabIndex={0} role="group" aria-label="List of changes">
          <ChangeList changes={changes} />
        </div>
      )}
    </section>
  )
}
