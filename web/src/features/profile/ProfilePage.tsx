import { Link, useParams } from 'react-router'
import { api } from '../../app/api.ts'
import { NotRead } from '../../app/NotRead.tsx'
import { today } from '../../app/today.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Choice } from '../../ui/Choice.tsx'
import { Details } from '../../ui/Details.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { TrainAt } from '../equipment/TrainAt.tsx'
import { BodyWeight } from '../maxes/BodyWeight.tsx'
import { trainingAgeChoices, trainingAgeLabel } from '../progress/trainingAge.ts'
import { useGive } from '../progress/useGive.ts'
import { AskFirst } from './AskFirst.tsx'
import { DaysAndMinutes } from './DaysAndMinutes.tsx'
import { Enjoys } from './Enjoys.tsx'
import { Levels } from './Levels.tsx'
import { Priorities } from './Priorities.tsx'

const link = 'underline underline-offset-4'

/** What a member’s loads, advice and program go by, asked once at joining; each answer is kept as it is given. For a writer that of one of theirs. */
export default function ProfilePage() {
  const { id: member } = useParams()
  const isOwn = member === undefined
  const equipment = api.useOwnEquipmentQuery({ day: today(), member })
  const progress = api.useProgressQuery({ day: today(), member })
  const maxes = api.useMaxesQuery({ day: today(), member })
  const { data: members } = api.useMembersQuery(undefined, { skip: isOwn })
  const name = members?.find(({ id }) => id === member)?.name
  useTitle(isOwn ? 'About you' : name ? `Profile of ${name}` : 'Profile')
  const error = equipment.error ?? progress.error ?? maxes.error
  const profile = progress.data?.profile
  return (
    <main className="mx-auto w-full max-w-xl px-4 py-6">
      {!isOwn && (
        <Link to="/members" className={`text-sm ${link}`}>
          Members
        </Link>
      )}
      <h1 className="text-3xl">{isOwn ? 'About you' : name ? `Profile of ${name}` : 'Profile'}</h1>
      <p className="mt-1 text-bark">
        {isOwn
          ? 'A minute for what your loads and your advice go by. Every answer is optional, is saved at once, and can be changed later: this page is under “Your account”.'
          : 'The member answers this too. Every answer is saved at once. Health data: only the member and the writers assigned see it.'}
      </p>
      <NotRead
        error={error}
        onRetry={() => [equipment, progress, maxes].forEach(({ refetch }) => void refetch())}
      />
      {progress.data && <Training about={progress.data.about} member={member} />}
      {profile && <DaysAndMinutes days={profile.days} member={member} />}
      {equipment.data && (
        <>
          <TrainAt own={equipment.data} member={member} />
          <Link
            to={isOwn ? '/equipment' : `/members/${member}/equipment`}
            className={`mt-2 inline-block text-sm ${link}`}
          >
            {isOwn ? 'Add equipment of your own' : 'Their own equipment'}
          </Link>
        </>
      )}
      {maxes.data && (
        <div className="mt-6">
          <BodyWeight unit={maxes.data.unit} body={maxes.data.body} member={member} />
        </div>
      )}
      <p className="mt-6">
        {isOwn ? 'Do you know your maxes? ' : 'Maxes: '}
        <Link to={isOwn ? '/maxes' : `/members/${member}/maxes`} className={link}>
          {isOwn ? 'Add your maxes' : 'see and add maxes'}
        </Link>
        {isOwn ? '. If not, your first sessions find your loads.' : '.'}
      </p>
      {profile && (
        <Details title="More about training (optional)" className="mt-6">
          <Priorities priorities={profile.priorities} member={member} />
          <Levels levels={profile.levels} member={member} />
          <Enjoys enjoys={profile.enjoys} member={member} />
        </Details>
      )}
      {profile && <AskFirst said={profile.askFirst} member={member} />}
      {isOwn && (
        <p className="mt-6">
          <Link
            to="/today"
            className="inline-flex min-h-13 items-center rounded-md bg-leaf px-5 text-lg font-medium text-leaf-ink"
          >
            Go to Today
          </Link>
        </p>
      )}
      <Toasts />
    </main>
  )
}

type Known = NonNullable<ReturnType<typeof api.useProgressQuery>['data']>['about']

function Training({ about, member }: { about: Known; member: string | undefined }) {
  const { give } = useGive(member)
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
      <p className="mt-1 text-sm text-bark">Deloads are advised sooner after longer training.</p>
    </div>
  )
}
