import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { newTemplateSchema, type NewTemplate } from '@young-oak/api/forms/newTemplate'
import { Acts } from '../../ui/Acts.tsx'
import { useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { TemplateLine } from '@young-oak/api/templates'
import { emptyTemplate } from '@young-oak/core/editing'
import type { Template } from '@young-oak/core/template'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { TabRow } from '../../ui/TabRow.tsx'
import { ImportFile } from './ImportFile.tsx'
import { mint } from './mint.ts'
import { Starters } from './Starters.tsx'

type Props = { templates: TemplateLine[]; onClose: () => void }
const ways = ['empty', 'ours', 'copy', 'file'] as const
type Way = (typeof ways)[number]
const titles: Record<Way, string> = {
  empty: 'Empty',
  ours: 'Start from a ready-made template',
  copy: 'A copy',
  file: 'A file',
}

/** The ways to a new template: an empty one, one of ten to begin with, a copy, a file. */
export function StartDialog({ templates, onClose }: Props) {
  const [way, setWay] = useState<Way>('empty')
  const [send, { isLoading, error }] = api.useImportTemplateMutation()
  const navigate = useNavigate()
  const store = async (template: Template) => {
    const { data } = await send(template)
    if (data) void navigate(`/templates/${data.id}`)
  }
  return (
    <Modal title="A new template" isOpen isWide={way === 'ours'} onClose={onClose}>
      <TabRow
        label="Start from"
        id="way"
        tabs={ways}
        titles={titles}
        chosen={way}
        className="mb-4"
        onChoose={setWay}
      />
      {error && (
        <p role="alert" className="mb-3 rounded bg-brick-wash px-2 py-1 text-brick">
          {sayError(error)}
        </p>
      )}
      {way === 'empty' && <Empty isBusy={isLoading} onStore={(template) => void store(template)} />}
      {way === 'ours' && <Starters isBusy={isLoading} onStore={(template) => void store(template)} />}
      {way === 'copy' && <Copy templates={templates} onStore={(template) => void store(template)} />}
      {way === 'file' && <ImportFile />}
    </Modal>
  )
}

function Empty({ isBusy, onStore }: { isBusy: boolean; onStore: (template: Template) => void }) {
  const { register, handleSubmit, formState } = useForm<Typed, unknown, NewTemplate>({
    // Numbers are typed as text, which the schema reads.
    resolver: yupResolver(newTemplateSchema) as never,
    defaultValues: { name: '', weeks: '12', days: '3' },
  })
  const { errors } = formState
  return (
    <form
      noValidate
      className="grid grid-cols-2 gap-4"
      onSubmit={(event) => void handleSubmit((given) => onStore(emptyTemplate(given, mint)))(event)}
    >
      <Field
        autoFocus
        label="Name"
        className="col-span-2"
        error={errors.name?.message}
        {...register('name')}
      />
      <Field label="Weeks" inputMode="numeric" error={errors.weeks?.message} {...register('weeks')} />
      <Field label="Sessions a week" inputMode="numeric" error={errors.days?.message} {...register('days')} />
      <Acts>
        <Button type="submit" disabled={isBusy}>
          Create template
        </Button>
      </Acts>
    </form>
  )
}

/** What is typed: numbers as text until they are read. */
type Typed = Record<keyof NewTemplate, string>

function Copy({ templates, onStore }: { templates: TemplateLine[]; onStore: (template: Template) => void }) {
  const [chosen, setChosen] = useState(templates[0]?.id ?? '')
  const [load, { isFetching, error }] = api.useLazyTemplateQuery()
  const isAsked = useRef(false)
  if (!templates.length) return <p className="text-bark">There is no template to copy yet.</p>
  const copy = async () => {
    if (isAsked.current) return
    isAsked.current = true
    const { data } = await load(chosen)
    isAsked.current = false
    if (data) onStore({ ...data.draft, name: `${data.draft.name}, copy`.slice(0, 120) })
  }
  return (
    <div className="grid gap-4">
      <SelectField
        label="Of"
        value={chosen}
        options={templates.map(({ id, name }) => [id, name])}
        onChoose={setChosen}
      />
      <p className="text-sm text-bark">
        Copies the current draft. Members and published versions stay with the original.
      </p>
      {error && <p className="text-brick">{sayError(error)}</p>}
      <Button disabled={isFetching} onClick={() => void copy()}>
        Copy template
      </Button>
    </div>
  )
}
