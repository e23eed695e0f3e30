import { useEffect } from 'react'
import type { PublicationLine } from '@young-oak/api/publications'
import { Button } from '../../ui/Button.tsx'
import { publicationsApi } from './publicationsApi.ts'

type Props = { id: string; onDone: (line: PublicationLine) => void }

/** How far a publication to many members has come; it can be called off until it is done, and goes on where the page is closed. */
export function Preparing({ id, onDone }: Props) {
  const { data } = publicationsApi.usePublicationQuery(id, { pollingInterval: 400 })
  const [callOff, { isLoading }] = publicationsApi.useTakeBackPublicationMutation()
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
        {filled} of {members}
      </span>
      <Button look="plain" disabled={isLoading} onClick={() => void callOff(id)}>
        Call off
      </Button>
    </div>
  )
}
