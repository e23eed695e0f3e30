import { useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import { auditKinds, type AuditKind } from '@young-oak/api/audit'
import { NotRead } from '../../app/NotRead.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Field } from '../../ui/Field.tsx'
import { SelectField, type Option } from '../../ui/Select.tsx'
import { auditApi } from './auditApi.ts'
import { AuditLines } from './AuditLines.tsx'

const kindWords: Record<AuditKind, string> = {
  read: 'opened a member’s data',
  list: 'opened lists',
  change: 'changed something',
}

/** For the owner: who of the staff looked at what of whom, and changed what. */
export function AuditPage() {
  useTitle('Audit')
  const [kind, setKind] = useState<AuditKind | ''>('')
  const [typed, setTyped] = useState('')
  const name = useDeferredValue(typed.trim())
  const [at, setAt] = useState<{ for: string; after: string | null }>({ for: '', after: null })
  const wanted = `${kind} ${name}`
  const after = at.for === wanted ? at.after : null
  const { data, error, isFetching, refetch } = auditApi.useAuditQuery(
    { kind, name, after },
    { refetchOnMountOrArgChange: true },
  )
  const kinds: Option<AuditKind | ''>[] = [
    ['', 'everything'],
    ...auditKinds.map((one): Option<AuditKind> => [one, kindWords[one]]),
  ]
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6">
      <Link to="/people" className="text-sm underline underline-offset-4">
        People
      </Link>
      <h1 className="mt-1 text-3xl">Audit</h1>
      <p className="mt-1 max-w-2xl text-bark">
        Who of the staff opened or changed what. Opening a member’s data or a list is kept once a day. Members
        see the lines about themselves under “Your account”.
      </p>
      <div className="mt-4 grid gap-3 sm:grid-cols-2">
        <Field
          label="Name contains"
          type="search"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
        />
        <SelectField label="Show" value={kind} options={kinds} onChoose={setKind} />
      </div>
      <NotRead error={error} onRetry={refetch} />
      {!data && !error && <p className="mt-6 text-bark">Loading…</p>}
      {data?.items.length === 0 && <p className="mt-6 text-bark">Nothing is kept for this search.</p>}
      {data && data.items.length > 0 && (
        <AuditLines
          lines={data.items}
          isOwn={false}
          isLoading={isFetching}
          onMore={data.next === null ? null : () => setAt({ for: wanted, after: data.next })}
        />
      )}
    </main>
  )
}
