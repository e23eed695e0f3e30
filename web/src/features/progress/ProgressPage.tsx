import { useTitle } from '../../app/useTitle.ts'
import { Link, useParams } from 'react-router'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { liftKey } from '@young-oak/core/library'
import { AdviceCard } from './AdviceCard.tsx'
import { Ahead } from './Ahead.tsx'
import { CheckIn } from './CheckIn.tsx'
import { LiftProgress } from './LiftProgress.tsx'
import { Offers } from './Offers.tsx'
import { Programs } from './Programs.tsx'
import { SessionLoad } from './SessionLoad.tsx'
import { TotalGoals } from './TotalGoals.tsx'
import { Trials } from './Trials.tsx'

/** How a member does: what is advised and why, how they are, what lies ahead, lifts with their goals, trials. Their own, or for a writer one of theirs. */
export default function ProgressPage() {
  const { id: member } = useParams()
  const { data, error, isLoading, refetch } = api.useProgressQuery(
    { day: today(), member },
    { refetchOnMountOrArgChange: true },
  )
  const { data: members } = api.useMembersQuery(undefined, { skip: member === undefined })
  const name = members?.find(({ id }) => id === member)?.name
  useTitle(name ? `Progress of ${name}` : 'Progress')
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data) {
    return (
      <main className="mx-auto max-w-lg p-6">
        <h1 className="text-2xl">Progress</h1>
        <p className="my-3 text-bark">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-6 px-4 py-6">
      <header>
        {member !== undefined && (
          <Link to="/members" className="text-sm underline underline-offset-4">
            Members
          </Link>
        )}
        <h1 className="text-3xl">{name ? `Progress of ${name}` : 'Progress'}</h1>
      </header>
      {data.programs.map((program) => (
        <AdviceCard
          key={program.enrolment}
          program={program}
          isOnly={data.programs.length === 1}
          taken={data.taken}
          member={member}
        />
      ))}
      {data.programs.length === 0 && <p className="text-bark">No program yet, so no advice.</p>}
      {data.offers.length > 0 && <Offers offers={data.offers} member={member} />}
      <section aria-label="Lifts">
        <h2 className="text-xl">Lifts</h2>
        {data.misfits.map((say) => (
          <p key={say} className="mt-2 rounded bg-acorn-wash px-3 py-2 text-sm text-acorn">
            {say}
          </p>
        ))}
        {data.lifts.length === 0 && (
          <p className="mt-1 text-bark">No logged set gives an estimated max yet.</p>
        )}
        <div className="mt-2 grid gap-4 md:grid-cols-2">
          {data.lifts.map((line) => (
            <LiftProgress
              key={liftKey(line.lift)}
              line={line}
              blocks={data.blocks}
              unit={data.unit}
              member={member}
            />
          ))}
          <TotalGoals view={data} member={member} />
        </div>
      </section>
      <div className="grid content-start gap-6 md:grid-cols-2">
        <CheckIn view={data} member={member} />
        <Programs view={data} member={member} />
        <Ahead view={data} member={member} />
      </div>
      <SessionLoad weeks={data.load} />
      <Trials view={data} member={member} />
      <p className="border-t border-line pt-4 text-sm text-bark">
        Not medical advice. New or returning to training, or with a condition, pregnancy or medication: see a
        licensed professional first.
      </p>
      <Toasts />
    </main>
  )
}
