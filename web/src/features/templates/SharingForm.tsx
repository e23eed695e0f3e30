import { useState } from 'react'
import type { Editing } from '@young-oak/api/templates'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Mark } from '../../ui/Mark.tsx'
import { SelectField } from '../../ui/Select.tsx'
import { toast } from '../../ui/toast.ts'

/** Whose a template is, and who else may edit it. */
export function SharingForm({ id, onDone }: { id: string; onDone: () => void }) {
  const { data, error } = api.useTemplateQuery(id)
  const [share, { isLoading, error: fault }] = api.useShareTemplateMutation()
  const [given, setGiven] = useState<{ editing?: Editing; editors?: string[]; author?: string }>({})
  if (error) return <p className="text-brick">{sayError(error)}</p>
  if (!data) return <p className="text-bark">Loading…</p>
  const editing = given.editing ?? data.editing
  const was = data.writers.find(({ isAuthor }) => isAuthor)?.id ?? ''
  const author = given.author ?? was
  const others = data.writers.filter((one) => one.id !== author)
  const named = given.editors ?? data.writers.flatMap((one) => (one.isNamed ? [one.id] : []))
  const editors = named.filter((one) => one !== author)
  const save = async () => {
    const answer = await share({ id, editing, editors, ...(author && author !== was && { author }) })
    if (answer.error) return
    toast('Saved.')
    onDone()
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <SelectField
        label="Author"
        value={author}
        options={[
          ...(was ? [] : [['', 'no longer here'] as const]),
          ...data.writers.map(({ id: writer, name }) => [writer, name] as const),
        ]}
        onChoose={(to) => setGiven({ ...given, author: to })}
      />
      <Choice
        label="Besides its author and the gym’s owner, it may be edited by"
        value={editing}
        choices={[
          ['all', 'every writer'],
          ['named', 'named writers'],
        ]}
        onChange={(to) => setGiven({ ...given, editing: to || editing })}
      />
      {editing === 'named' &&
        (others.length ? (
          <div>
            {others.map(({ id: writer, name }) => (
              <Mark
                key={writer}
                label={name}
                isOn={editors.includes(writer)}
                onChange={(isOn) =>
                  setGiven({
                    ...given,
                    editors: isOn ? [...editors, writer] : editors.filter((one) => one !== writer),
                  })
                }
              />
            ))}
          </div>
        ) : (
          <p className="text-bark">The gym has no other writer yet.</p>
        ))}
      <p className="text-sm text-bark">All writers see the template, may copy it and publish its versions.</p>
      {fault && <p className="text-brick">{sayError(fault)}</p>}
      <div className="flex gap-3">
        <Button type="submit" disabled={isLoading}>
          Save
        </Button>
        <Button look="plain" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  )
}
