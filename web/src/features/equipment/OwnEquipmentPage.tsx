import { useTitle } from '../../app/useTitle.ts'
import { Link, useParams } from 'react-router'
import { toast } from '../../ui/toast.ts'
import { ownLocation } from '@young-oak/api/equipment'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { EquipmentForm } from './EquipmentForm.tsx'
import { TrainAt } from './TrainAt.tsx'

/** Where a member trains, in which unit, and what they have of their own: the member’s page, or for a writer that of one of theirs. */
export default function OwnEquipmentPage() {
  useTitle('Equipment')
  const { id: member } = useParams()
  const { data, error, isLoading, refetch } = api.useOwnEquipmentQuery({ day: today(), member })
  const isOwn = member === undefined
  const [equip, { isLoading: isSaving, error: fault }] = api.useEquipOwnMutation()
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data)
    return (
      <main className="p-6">
        <p className="mb-3">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  const own = data.locations.find(({ id }) => id === ownLocation)
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6">
      {!isOwn && (
        <Link to={`/members/${member}/profile`} className="text-sm underline underline-offset-4">
          Profile
        </Link>
      )}
      <h1 className="text-3xl">Equipment</h1>
      <p className="mt-1 text-bark">
        {isOwn
          ? 'Your loads are rounded to what you can load where you train.'
          : 'The member’s loads are rounded to what there is where they train.'}
      </p>
      <TrainAt own={data} member={member} />
      <section className="mt-8">
        <h2 className="text-xl">{isOwn ? 'My own equipment' : 'Their own equipment'}</h2>
        <p className="mb-3 text-sm text-bark">
          List your equipment, then choose “My own” above, or for one session on Today.
        </p>
        <EquipmentForm
          key={JSON.stringify(own?.has ?? null)}
          has={own?.has ?? null}
          isSaving={isSaving}
          error={fault && sayError(fault)}
          onSave={(has) =>
            void equip({ given: { has, today: today() }, member })
              .unwrap()
              .then(() => toast('Saved.'))
              .catch(() => undefined)
          }
        />
      </section>
      <Toasts />
    </main>
  )
}
