import { Link } from 'react-router'

/** What stands in the place of programs where a member has none, or none any more. */
export default function NoProgram({ hasHadOne }: { hasHadOne: boolean }) {
  if (hasHadOne)
    return (
      <section>
        <h2 className="text-2xl">No program at the moment</h2>
        <p className="mt-2 text-bark">
          Your program has ended. One that you ended yourself can be resumed on{' '}
          <Link className="underline" to="/progress">
            Progress
          </Link>
          .
        </p>
      </section>
    )
  return (
    <section>
      <h2 className="text-2xl">No program yet</h2>
      <p className="mt-2 text-bark">
        Your gym has not started a program for you yet. Meanwhile,{' '}
        <Link className="underline" to="/maxes">
          add your maxes
        </Link>
        : your loads are worked out from your maxes.
      </p>
    </section>
  )
}
