import { useTitle } from '../../app/useTitle.ts'
import { toast } from '../../ui/toast.ts'
import { ownLocation } from '@young-oak/api/equipment'
import type { Unit } from '@young-oak/core/units'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { PhoneSelect } from '../../ui/Field.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { EquipmentForm } from './EquipmentForm.tsx'
import { sayHas } from './sayHas.ts'

/** Where a member trains, in which unit, and what they have of their own. */
export default function OwnEquipmentPage() {
  useTitle('Equipment')
  const { data, error, isLoading, refetch } = api.useOwnEquipmentQuery(today())
  const [choose, { isLoading: isChoosing }] = api.useChooseSettingMutation()
  const [equip, { isLoading: isSaving, error: fault }] = api.useEquipOwnMutation()
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data)
    return (
      <main className="p-6">
        <p className="mb-3">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  const set = async (change: { home?: string; unit?: Unit }) => {
    const answer = await choose({ ...change, today: today() })
    if (answer.error) toast.error(sayError(answer.error))
    else toast('Saved. Your next session uses it.')
  }
  const own = data.locations.find(({ id }) => id === ownLocation)
  const home = data.locations.find(({ id }) => id === data.home)
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6">
      <h1 className="text-3xl">Equipment</h1>
      <p className="mt-1 text-bark">Your loads are rounded to what you can load where you train.</p>
      <div className="mt-4 grid gap-3 sm:grid-cols-[1fr_8rem]">
        <PhoneSelect
          label="I usually train at"
          value={data.home}
          disabled={isChoosing}
          hint={home && sayHas(home.has)}
          onChange={(event) => void set({ home: event.target.value })}
        >
          {!home && <option value={data.home}>not at the gym</option>}
          {data.locations.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </PhoneSelect>
        <PhoneSelect
          label="My unit"
          value={data.unit}
          disabled={isChoosing}
          onChange={(event) => void set({ unit: event.target.value as Unit })}
        >
          <option>kg</option>
          <option>lb</option>
        </PhoneSelect>
      </div>
      <section className="mt-8">
        <h2 className="text-xl">My own equipment</h2>
        <p className="mb-3 text-sm text-bark">
          List your equipment, then choose “My own” above, or for one session on Today.
        </p>
        <EquipmentForm
          key={JSON.stringify(own?.has ?? null)}
          has={own?.has ?? null}
          isSaving={isSaving}
          error={fault && sayError(fault)}
          onSave={(has) =>
            void equip({ has, today: today() })
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
