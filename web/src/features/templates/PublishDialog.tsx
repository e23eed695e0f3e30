import { useState } from 'react'
import { toast } from 'sonner'
import { isDay, formatDay } from '@young-oak/core/units'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { useAppSelector } from '../../app/store.ts'
import { nextMonday, today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { Modal } from '../../ui/Modal.tsx'

type Props = { id: string; isOpen: boolean; isPublished: boolean; onClose: () => void }

/** Publishes the draft as the next version: to whom, from when, and a note of what changed. */
export function PublishDialog({ id, isOpen, isPublished, onClose }: Props) {
  return (
    <Modal
      title="Publish"
      about={
        isPublished
          ? 'Sessions from the start date on follow the new version; what was trained stays as it was shown.'
          : 'Members see their own loads from the start date on.'
      }
      isOpen={isOpen}
      onClose={onClose}
    >
      <PublishForm id={id} onClose={onClose} />
    </Modal>
  )
}

function PublishForm({ id, onClose }: { id: string; onClose: () => void }) {
  const { data } = api.useMembersQuery(undefined, { refetchOnMountOrArgChange: true })
  const [publish, { error, isLoading }] = api.usePublishMutation()
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const name = useAppSelector(({ editor }) => editor.draft?.name ?? '')
  const [chosen, setChosen] = useState<string[]>([])
  const [start, setStart] = useState(() => nextMonday(today()))
  const [note, setNote] = useState('')
  const [isTried, setTried] = useState(false)
  const mine = data?.filter(({ isMine }) => isMine) ?? []
  const toggle = (member: string) =>
    setChosen(chosen.includes(member) ? chosen.filter((one) => one !== member) : [...chosen, member])
  const send = async () => {
    setTried(true)
    if (!chosen.length || !isDay(start)) return
    const answer = await publish({ id, members: chosen, start, note })
    if (!answer.data) return
    toast(
      `Version ${answer.data.number} is published to ${answer.data.members} ${answer.data.members === 1 ? 'member' : 'members'}, from ${formatDay(start)}.`,
    )
    onClose()
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
      <fieldset>
        <legend className="flex w-full items-center justify-between text-sm font-medium">
          To
          <Button
            look="quiet"
            className="text-sm"
            onClick={() => setChosen(chosen.length === mine.length ? [] : mine.map((member) => member.id))}
          >
            {chosen.length === mine.length ? 'Nobody' : 'All of mine'}
          </Button>
        </legend>
        <ul className="mt-1 max-h-56 overflow-y-auto rounded-md border border-edge p-1">
          {mine.map((member) => (
            <li key={member.id}>
              <label className="flex min-h-9 items-center gap-2 rounded px-2 hover:bg-leaf-wash">
                <input
                  type="checkbox"
                  className="size-4 accent-leaf"
                  checked={chosen.includes(member.id)}
                  onChange={() => toggle(member.id)}
                />
                <span className="grow">{member.name}</span>
                <span className="text-sm text-bark">
                  {member.programs.includes(name) ? 'on it already' : member.programs.join(', ')}
                </span>
              </label>
            </li>
          ))}
          {mine.length === 0 && <li className="p-2 text-bark">No members are assigned to you.</li>}
        </ul>
        {isTried && !chosen.length && <p className="mt-1 text-sm text-brick">Choose at least one member.</p>}
      </fieldset>
      <Field
        label="From"
        type="date"
        value={start}
        error={errors.start ?? (isTried && !isDay(start) ? 'Choose a start date.' : undefined)}
        onChange={(event) => setStart(event.target.value)}
      />
      <Field
        label="What changed (optional)"
        value={note}
        maxLength={2000}
        onChange={(event) => setNote(event.target.value)}
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
      <Button type="submit" disabled={isLoading || waiting > 0}>
        {waiting > 0 ? 'Saving the last edits …' : isLoading ? 'Publishing …' : `Publish to ${chosen.length}`}
      </Button>
    </form>
  )
}
