import { useState } from 'react'
import { NotRead } from '../../app/NotRead.tsx'
import { auditApi } from './auditApi.ts'
import { AuditLines } from './AuditLines.tsx'

/** Who of the staff opened or changed the data of the member who reads it. */
export function OwnAudit() {
  const [after, setAfter] = useState<string | null>(null)
  const { data, error, isFetching, refetch } = auditApi.useOwnAuditQuery({ after })
  return (
    <>
      <NotRead error={error} onRetry={refetch} />
      {!data && !error && <p className="text-bark">Loading…</p>}
      {data?.items.length === 0 && <p className="text-bark">Nobody has opened or changed your data yet.</p>}
      {data && data.items.length > 0 && (
        <AuditLines
          lines={data.items}
          isOwn
          isLoading={isFetching}
          onMore={data.next === null ? null : () => setAfter(data.next)}
        />
      )}
    </>
  )
}
