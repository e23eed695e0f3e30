import { Link } from 'react-router'
import { formatDay } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'

/** Who is here and how often: attendance for owners and writers; loads open in a template, for the assigned writer. */
export default function MembersPage() {
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
        <table className="mt-6 w-full">
          <thead className="text-left text-sm text-bark">
            <tr>
              <th className="py-2 font-medium">Name</th>
              <th className="py-2 font-medium">On</th>
              <th className="py-2 text-right font-medium">Sessions, last 28 days</th>
              <th className="py-2 pl-6 font-medium">Last session</th>
              {isWriter && <th className="py-2 font-medium">Yours</th>}
            </tr>
          </thead>
          <tbody className="divide-y divide-line border-y border-line">
            {data.map(({ id, name, programs, lastSession, sessionsIn28Days, isMine }) => (
              <tr key={id}>
                <td className="py-2 font-medium">
                  {isMine ? (
                    <Link
                      to={`/members/${id}/maxes`}
                      className="underline decoration-edge underline-offset-4"
                    >
                      {name}
                    </Link>
                  ) : (
                    name
                  )}
                </td>
                <td className="py-2">{programs.join(', ') || 'no program'}</td>
                <td className="py-2 text-right">{sessionsIn28Days}</td>
                <td className="py-2 pl-6">{lastSession ? formatDay(lastSession) : 'never'}</td>
                {isWriter && (
                  <td className="py-2">
                    {isMine && (
                      <Link
                        to={`/members/${id}/progress`}
                        aria-label={`Progress of ${name}`}
                        className="underline decoration-edge underline-offset-4"
                      >
                        progress
                      </Link>
                    )}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </main>
  )
}
