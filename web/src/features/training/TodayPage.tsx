import { useTitle } from '../../app/useTitle.ts'
import { useLibrary } from '../library/useLibrary.ts'
import { useEffect } from 'react'
import type { TodayView } from '@young-oak/api/training'
import { liftName } from '@young-oak/core/library'
import { api, sayError } from '../../app/api.ts'
import { useAppDispatch, useAppSelector } from '../../app/store.ts'
import { today } from '../../app/today.ts'
import { dropRefused, dropUnread } from '../../offline/outboxSlice.ts'
import { withWaiting } from '../../offline/withWaiting.ts'
import { Button } from '../../ui/Button.tsx'
import { loadLater } from '../../ui/loadLater.ts'
import { loadTraining, NoProgram, Unconfirmed } from './later.ts'
import { Toasts } from '../../ui/Toasts.tsx'
import { ProgramToday } from './ProgramToday.tsx'

/** The member's own screen: what to lift now, what it was last time, and what comes next. */
export default function TodayPage() {
  useTitle('Today')
  const day = today()
  const location = useAppSelector((state) => state.location.at)
  const { data, error, isLoading, refetch } = api.useTodayQuery(
    { day, location },
    {
      refetchOnFocus: true,
      refetchOnReconnect: true,
    },
  )
  const operations = useAppSelector(({ outbox }) => outbox.operations)
  useEffect(() => loadLater(loadTraining), [])
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data) return <Trouble message={sayError(error)} retry={() => void refetch()} />
  const logs = withWaiting(data.logs, operations)
  return (
    <main className="mx-auto w-full max-w-2xl px-4 pt-4 pb-16">
      <h1 className="sr-only">Today</h1>
      {error && (
        <p role="status" className="mb-3 rounded bg-acorn-wash p-3 text-acorn">
          {sayError(error)} What you log is kept on this phone.
        </p>
      )}
      <Refused />
      {data.unconfirmed.length > 0 && <Unconfirmed fallback={null} of={{ sessions: data.unconfirmed }} />}
      {data.programs.length === 0 && (
        <NoProgram
          of={{ hasHadOne: data.enrolments.length > 0 }}
          fallback={<h2 className="text-2xl">No program</h2>}
        />
      )}
      {data.programs.map((program) => (
        <ProgramToday
          key={program.enrolment}
          program={program}
          logs={logs}
          day={day}
          evidence={data.evidence}
          locations={data.locations}
          proposals={data.proposals}
        />
      ))}
      <Findings view={data} />
      <p className="mt-10 border-t border-line pt-4 text-sm text-bark">
        Sharp, radiating or joint pain: stop, and see a licensed professional. Heavy sets: collars on, and a
        spotter or safety bars.
      </p>
      <Toasts />
    </main>
  )
}

/** Entries that the server would not take, set aside where they are seen. */
function Refused() {
  const library = useLibrary()
  const refused = useAppSelector(({ outbox }) => outbox.refused)
  const unread = useAppSelector(({ outbox }) => outbox.unread)
  const dispatch = useAppDispatch()
  if (!refused.length && !unread) return null
  return (
    <section role="alert" className="mb-4 rounded border border-brick bg-brick-wash p-3">
      {unread > 0 && (
        <p className="flex items-center justify-between gap-3">
          <span>
            {unread === 1 ? 'An entry' : `${unread} entries`} kept on this phone could not be read and{' '}
            {unread === 1 ? 'is' : 'are'} set aside. Check that your last sets are here.
          </span>
          <Button look="quiet" onClick={() => dispatch(dropUnread())}>
            Dismiss
          </Button>
        </p>
      )}
      {refused.map(({ operation, reason }) => (
        <p key={operation.id} className="flex items-center justify-between gap-3">
          <span>
            {operation.kind === 'set'
              ? `Set ${operation.set.n} of ${liftName(library, operation.set)}`
              : 'An entry'}
            : {reason}
          </span>
          <Button look="quiet" onClick={() => dispatch(dropRefused(operation.id))}>
            Dismiss
          </Button>
        </p>
      ))}
    </section>
  )
}

function Findings({ view }: { view: TodayView }) {
  if (!view.findings.length) return null
  return (
    <section className="mt-8 rounded bg-acorn-wash p-3 text-sm text-acorn">
      {view.findings.map(({ where, what, next }) => (
        <p key={where + what} className="mt-1">
          {what} {next}
        </p>
      ))}
    </section>
  )
}

function Trouble({ message, retry }: { message: string; retry: () => void }) {
  return (
    <main className="mx-auto max-w-lg p-6">
      <h1 className="text-2xl">Today</h1>
      <p className="my-3 text-bark">{message}</p>
      <Button onClick={retry}>Try again</Button>
    </main>
  )
}
