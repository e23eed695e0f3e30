import { useEffect } from 'react'
import type { PublicationLine } from '@young-oak/api/publications'
import { Button } from '../../ui/Button.tsx'
import { publicationsApi } from './publicationsApi.ts'

type Props = { id: string; onDone: (line: PublicationLine) => unknown }

/** How far a publication to many members has come; it can be cancelled until it is done, and goes on where the page is closed. */
export function Preparing({ id, onDone }: Props) {
  const { data } = publicationsApi.usePublicationQuery(id, { pollingInterval: 400 })
  const [cancel, { isLoading }] = publicationsApi.useTakeBackPublicationMutation()
  useEffect(() => {
    if (data && data.id === id && data.state !== 'preparing') onDone(data)
  }, [data, id, onDone])
  const { filled = 0, members = 0 } = data ?? {}
  return (
    <div role="status" className="flex items-center gap-3">
      <progress
        className="w-40 accent-leaf"
        max={members || 1}
        value={filled}
        aria-label="Members prepared"
      />
      <span>
        {filled} of {members} members prepared
      </span>
      <Button look="plain" disabled={isLoading} onClick={() => void cancel(id)}>
        Cancel publishing
      </Button>
    </div>
  )
}
