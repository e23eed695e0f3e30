import { useTitle } from '../../app/useTitle.ts'
import { Link } from 'react-router'
import type { MemberLine } from '@young-oak/api/members'
import { formatDay } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { DataTable, type DataColumn } from '../../ui/DataTable.tsx'

/** Who is here and how often: attendance for owners and writers; loads open in a template, for the assigned writer. */
export default function MembersPage() {
  useTitle('Members')
  const { data: session } = api.useSessionQuery()
  const { data, error, isLoading, refetch } = api.useMembersQuery(undefined, {
    refetchOnMountOrArgChange: true,
  })
  const isWriter = session?.seat?.kind === 'writer'
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-6">
      <h1 className="text-3xl">Members</h1>
      {isWriter && (
        <p className="mt-1 text-bark">
          Open a name for the member’s maxes, “progress” for advice and check-ins. To see a member’s loads,
          open a template and choose the member.
        </p>
      )}
      {isLoading && <p className="mt-6 text-bark">Loading…</p>}
      {error && (
        <p role="alert" className="mt-6">
          {sayError(error)}{' '}
          <Button look="quiet" onClick={() => void refetch()}>
            Try again
          </Button>
        </p>
      )}
      {data?.length === 0 && <p className="mt-6 text-bark">No members yet.</p>}
      {data && data.length > 0 && (
        <DataTable
          label="Members"
          rows={data}
          columns={isWriter ? [...columns, progressColumn] : columns}
          keyOf={keyOf}
          isLong
        />
      )}
    </main>
  )
}

const keyOf = ({ id }: MemberLine): string => id
const link = 'underline decoration-edge underline-offset-4'

const columns: DataColumn<MemberLine>[] = [
  {
    id: 'name',
    title: 'Name',
    sortBy: ({ name }) => name,
    cell: ({ id, name, isMine }) => (
      <span className="font-medium">
        {isMine ? (
          <Link to={`/members/${id}/maxes`} className={link}>
            {name}
          </Link>
        ) : (
          name
        )}
      </span>
    ),
  },
  {
    id: 'programs',
    title: 'Program',
    sortBy: ({ programs }) => programs.join(', '),
    cell: ({ programs }) => programs.join(', ') || 'no program',
  },
  {
    id: 'sessions',
    title: 'Sessions, last 28 days',
    isNumber: true,
    sortBy: ({ sessionsIn28Days }) => sessionsIn28Days,
    cell: ({ sessionsIn28Days }) => sessionsIn28Days,
  },
  {
    id: 'last',
    title: 'Last session',
    sortBy: ({ lastSession }) => lastSession ?? '',
    cell: ({ lastSession }) => (lastSession ? formatDay(lastSession) : 'never'),
  },
]

const progressColumn: DataColumn<MemberLine> = {
  id: 'progress',
  title: 'Progress',
  cell: ({ id, name, isMine }) =>
    isMine && (
      <Link to={`/members/${id}/progress`} aria-label={`Progress of ${name}`} className={link}>
        progress
      </Link>
    ),
}
