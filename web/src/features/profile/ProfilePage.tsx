import { Link } from 'react-router'
import { api } from '../../app/api.ts'
import { NotRead } from '../../app/NotRead.tsx'
import { today } from '../../app/today.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Choice } from '../../ui/Choice.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { TrainAt } from '../equipment/TrainAt.tsx'
import { BodyWeight } from '../maxes/BodyWeight.tsx'
import { trainingAgeChoices, trainingAgeLabel } from '../progress/trainingAge.ts'
import { useGive } from '../progress/useGive.ts'

const link = 'underline underline-offset-4'

/** What a member’s loads and advice go by, asked once at joining. Each answer is kept as it is given. */
export default function ProfilePage() {
  useTitle('About you')
  const equipment = api.useOwnEquipmentQuery(today())
  const progress = api.useProgressQuery({ day: today() })
  const maxes = api.useMaxesQuery({ day: today() })
  const error = equipment.error ?? progress.error ?? maxes.error
  return (
    <main className="mx-auto w-full max-w-xl px-4 py-6">
      <h1 className="text-3xl">About you</h1>
      <p className="mt-1 text-bark">
        A minute for what your loads and your advice go by. Every answer is optional, is saved at once, and
        can be changed later: this page is under “Your account”.
      </p>
      <NotRead
        error={error}
        onRetry={() => [equipment, progress, maxes].forEach(({ refetch }) => void refetch())}
      />
      {progress.data && <Training about={progress.data.about} />}
      {equipment.data && <TrainAt own={equipment.data} />}
      {maxes.data && (
        <div className="mt-6">
          <BodyWeight unit={maxes.data.unit} body={maxes.data.body} />
        </div>
      )}
      <p className="mt-6">
        Do you know your maxes?{' '}
        <Link to="/maxes" className={link}>
          Add your maxes
        </Link>
        . If not, your first sessions find your loads.
      </p>
      <p className="mt-6 rounded bg-acorn-wash px-3 py-2 text-acorn">
        New to lifting, coming back to it, pregnant, on medication, or have a condition, an injury or pain?
        See a licensed professional before your first session.
      </p>
      <p className="mt-6">
        <Link
          to="/today"
          className="inline-flex min-h-13 items-center rounded-md bg-leaf px-5 text-lg font-medium text-leaf-ink"
        >
          Go to Today
        </Link>
      </p>
      <Toasts />
    </main>
  )
}

type Known = NonNullable<ReturnType<typeof api.useProgressQuery>['data']>['about']

function Training({ about }: { about: Known }) {
  const { give } = useGive()
  const { training, ...others } = about
  return (
    <div className="mt-6">
      <Choice
        label={trainingAgeLabel}
        value={training ?? ''}
        choices={trainingAgeChoices}
        onChange={(chosen) =>
          void give({ kind: 'about', ...others, ...(chosen && { training: chosen }) }, 'Saved.')
        }
      />
      <p className="mt-1 text-sm text-bark">Deloads are advised sooner, the longer you have trained.</p>
    </div>
  )
}
