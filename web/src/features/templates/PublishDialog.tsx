import { yupResolver } from '@hookform/resolvers/yup'
import { Controller, useForm, useWatch, type Control } from 'react-hook-form'
import { toast } from '../../ui/toast.ts'
import { publicationSchema, type Publication } from '@young-oak/api/forms/publication'
import type { Template } from '@young-oak/core/template'
import { formatDay } from '@young-oak/core/units'
import { api, fieldErrors, sayError } from '../../app/api.ts'
import { useAppSelector } from '../../app/store.ts'
import { Acts } from '../../ui/Acts.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { FormSelect } from '../../ui/FormSelect.tsx'
import { Modal } from '../../ui/Modal.tsx'
import type { Option } from '../../ui/Select.tsx'
import { ChangeList } from './inspector/ChangeList.tsx'
import { MemberChoice } from './MemberChoice.tsx'
import { countsBack, newPublication, publishOf } from './publication.ts'

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

type FormProps = Omit<Props, 'isOpen'>

function PublishForm({ id, isPublished, onPublished, onClose }: FormProps) {
  const [publish, { error, isLoading }] = api.usePublishMutation()
  const waiting = useAppSelector(({ editor }) => editor.waiting.length)
  const draft = useAppSelector(({ editor }) => editor.draft)
  const form = useForm<Publication>({
    resolver: yupResolver(publicationSchema),
    defaultValues: newPublication(draft, isPublished),
  })
  const { register, control, handleSubmit, formState } = form
  const members = useWatch({ control, name: 'members' })
  const send = async (given: Publication) => {
    const { data } = await publish({ id, ...publishOf(given) })
    if (!data) return
    toast(`Version ${data.number} is published to ${countOf(data.members)}, from ${formatDay(given.start)}.`)
    onClose()
    onPublished()
  }
  const { errors } = formState
  const refused = fieldErrors(error)
  return (
    <form noValidate className="grid gap-4" onSubmit={(event) => void handleSubmit(send)(event)}>
      {isPublished && waiting === 0 && <Changes id={id} />}
      <Controller
        control={control}
        name="members"
        render={({ field }) => (
          <MemberChoice
            name={draft?.name ?? ''}
            chosen={field.value}
            onChoose={field.onChange}
            error={errors.members?.message}
          />
        )}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="From"
          type="date"
          error={errors.start?.message ?? refused.start}
          {...register('start')}
        />
        <HowFields control={control} draft={draft} isPublished={isPublished} />
      </div>
      <Field label="Note (optional)" error={errors.note?.message} {...register('note')} />
      {error && !refused.start && (
        <div role="alert" className="text-brick">
          <p>{sayError(error)}</p>
          <ul className="list-disc pl-5 text-sm">
            {Object.values(refused).map((message) => (
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
          {sayPublish(members.length, waiting > 0, isLoading)}
        </Button>
      </Acts>
    </form>
  )
}

const countOf = (members: number): string => `${members} ${members === 1 ? 'member' : 'members'}`

function sayPublish(members: number, isWaiting: boolean, isSending: boolean): string {
  if (isWaiting) return 'Saving the last edits…'
  return isSending ? 'Publishing…' : `Publish to ${countOf(members)}`
}

type HowProps = { control: Control<Publication>; draft: Template | null; isPublished: boolean }

/** When those who run it change over, how the weeks of new members end, and on which track they are. */
function HowFields({ control, draft, isPublished }: HowProps) {
  const track = useWatch({ control, name: 'track' })
  const tracks = Object.entries(draft?.tracks ?? {})
  return (
    <>
      {isPublished && (
        <FormSelect
          control={control}
          name="begins"
          label="Members already on the program change"
          hint="A started week is finished first, unless you choose the next session."
          options={[
            ['week', 'with their next week'],
            ['session', 'with their next session'],
          ]}
        />
      )}
      <FormSelect
        control={control}
        name="clock"
        label="A week of a new member ends"
        hint={countsBack(draft) ? 'A test day needs weeks on dates.' : undefined}
        disabled={countsBack(draft)}
        options={[
          ['own', 'when its sessions are done'],
          ['calendar', 'on their dates'],
        ]}
      />
      {tracks.length > 0 && (
        <FormSelect
          control={control}
          name="track"
          label="Track"
          hint={track === 'keep' ? 'New members start the template as written.' : undefined}
          options={[
            ['keep', 'keep each member’s track'],
            ['', 'as written, for all'],
            ...tracks.map(([id, { name }]): Option<string> => [id, `${name}, for all`]),
          ]}
        />
      )}
    </>
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
