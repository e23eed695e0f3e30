import { useState } from 'react'
import type { TemplateLine } from '@young-oak/api/templates'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { toast } from '../../ui/toast.ts'
import { SharingForm } from './SharingForm.tsx'

/** What the author of a template and the gym’s owner, or any writer once the author has left, may do with it as a whole. */
export function TemplateActs({ line }: { line: TemplateLine }) {
  const [open, setOpen] = useState<'share' | 'delete' | null>(null)
  const [archive, { isLoading }] = api.useArchiveTemplateMutation()
  const { id, name, isArchived, isTheirs, isTrained } = line
  if (!isTheirs) return null
  const put = async (to: boolean) => {
    const { error } = await archive({ id, isArchived: to })
    if (error) toast.error(sayError(error))
    else
      toast(to ? `${name} is archived. Members on it go on.` : `${name} is back among the current templates.`)
  }
  return (
    <span className="flex flex-wrap gap-x-1 text-sm">
      {!isArchived && (
        <Button look="quiet" aria-label={`Who may edit ${name}…`} onClick={() => setOpen('share')}>
          Editors…
        </Button>
      )}
      <Button
        look="quiet"
        disabled={isLoading}
        aria-label={`${isArchived ? 'Bring back' : 'Archive'} ${name}`}
        onClick={() => void put(!isArchived)}
      >
        {isArchived ? 'Bring back' : 'Archive'}
      </Button>
      {!isTrained && (
        <Button look="quiet" aria-label={`Delete ${name}…`} onClick={() => setOpen('delete')}>
          Delete…
        </Button>
      )}
      {open === 'share' && (
        <Modal isOpen title={`Who may edit ${name}`} onClose={() => setOpen(null)}>
          <SharingForm id={id} onDone={() => setOpen(null)} />
        </Modal>
      )}
      {open === 'delete' && <DeleteTemplate line={line} onClose={() => setOpen(null)} />}
    </span>
  )
}

function DeleteTemplate({
  line: { id, name, members },
  onClose,
}: {
  line: TemplateLine
  onClose: () => void
}) {
  const [remove, { isLoading, error }] = api.useDeleteTemplateMutation()
  const go = async () => {
    const { error: fault } = await remove(id)
    if (!fault) toast(`${name} is deleted.`)
  }
  return (
    <Modal
      isOpen
      title={`Delete ${name}`}
      about={
        members
          ? `Nobody has trained on it. ${members === 1 ? '1 member loses' : `${members} members lose`} the program. This cannot be undone.`
          : 'Nobody has trained on it. This cannot be undone.'
      }
      onClose={onClose}
    >
      {error && <p className="mb-3 text-brick">{sayError(error)}</p>}
      <div className="flex gap-3">
        <Button disabled={isLoading} onClick={() => void go()}>
          Delete the template
        </Button>
        <Button look="plain" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </Modal>
  )
}
