import type { AuditLine } from '@young-oak/api/audit'
import { Button } from '../../ui/Button.tsx'
import { sayAudit, sayWhen } from './sayAudit.ts'

type Props = {
  lines: AuditLine[]
  isOwn: boolean
  isLoading: boolean
  /** Null where these are all. */
  onMore: (() => void) | null
}

/** What was done, the latest first. */
export function AuditLines({ lines, isOwn, isLoading, onMore }: Props) {
  return (
    <>
      <ul aria-label="Audit" className="mt-3 divide-y divide-line border-y border-line">
        {lines.map((line) => (
          <li key={line.id} className="flex flex-wrap gap-x-4 py-2">
            <span className="grow">{sayAudit(line, isOwn)}</span>
            <span className="text-sm text-bark">{sayWhen(line.at)}</span>
          </li>
        ))}
      </ul>
      {onMore && (
        <Button look="plain" className="mt-3" disabled={isLoading} onClick={onMore}>
          Show more
        </Button>
      )}
    </>
  )
}
