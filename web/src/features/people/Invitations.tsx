import { useMemo } from 'react'
import type { InvitationLine, InvitationLink } from '@young-oak/api/people'
import { formatDay } from '@young-oak/core/units'
import { NotRead } from '../../app/NotRead.tsx'
import { sayError } from '../../app/api.ts'
import { DataTable, type DataColumn } from '../../ui/DataTable.tsx'
import { toast } from '../../ui/toast.ts'
import { peopleApi } from './peopleApi.ts'

/** Invitations that nobody has used yet. */
export function Invitations({ onLink }: { onLink: (link: InvitationLink) => void }) {
  const { data, error, refetch } = peopleApi.useInvitationsQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  const [renew] = peopleApi.useRenewLinkMutation()
  const [withdraw] = peopleApi.useWithdrawMutation()
  const columns = useMemo(
    () => [
      ...seen,
      actsColumn(
        async ({ id }) => {
          const { data: link, error: fault } = await renew(id)
          if (link) onLink(link)
          else toast.error(sayError(fault))
        },
        async ({ id, name }) => {
          const { error: fault } = await withdraw(id)
          if (fault) toast.error(sayError(fault))
          else toast(`The invitation of ${name} is withdrawn: its link is worth nothing now.`)
        },
      ),
    ],
    [onLink, renew, withdraw],
  )
  return (
    <section className="mt-10">
      <h2 className="text-xl">Invitations nobody has used yet</h2>
      <NotRead error={error} onRetry={refetch} className="mt-2" />
      {data?.length === 0 && <p className="mt-2 text-bark">None. Invite a person above.</p>}
      {data && data.length > 0 && (
        <DataTable label="Invitations" rows={data} columns={columns} keyOf={({ id }) => id} isLong />
      )}
    </section>
  )
}

const seen: DataColumn<InvitationLine>[] = [
  { id: 'name', title: 'Name', sortBy: ({ name }) => name, cell: ({ name }) => name },
  { id: 'email', title: 'E-mail', sortBy: ({ email }) => email ?? '', cell: ({ email }) => email ?? 'none' },
  { id: 'role', title: 'Role', sortBy: ({ role }) => role, cell: ({ role }) => role },
  {
    id: 'writers',
    title: 'Writer',
    cell: ({ role, writers }) => (role === 'member' ? writers.join(', ') || 'none' : ''),
  },
  { id: 'from', title: 'Invited by', sortBy: ({ from }) => from, cell: ({ from }) => from },
  {
    id: 'ends',
    title: 'Valid until',
    sortBy: ({ endsAt }) => endsAt,
    cell: ({ endsAt, isOver }) =>
      isOver ? <span className="text-brick">expired: make a new link</span> : formatDay(endsAt.slice(0, 10)),
  },
]

type Act = (line: InvitationLine) => Promise<void>
const actsColumn = (renew: Act, withdraw: Act): DataColumn<InvitationLine> => ({
  id: 'acts',
  title: 'Link',
  cell: (line) => (
    <span className="flex gap-3 whitespace-nowrap">
      <button
        type="button"
        className="underline decoration-edge underline-offset-4"
        aria-label={`Make a new link for ${line.name}`}
        onClick={() => void renew(line)}
      >
        new link
      </button>
      <button
        type="button"
        className="underline decoration-edge underline-offset-4"
        aria-label={`Withdraw the invitation of ${line.name}`}
        onClick={() => void withdraw(line)}
      >
        withdraw
      </button>
    </span>
  ),
})
