import { useTitle } from '../../app/useTitle.ts'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { toast } from '../../ui/toast.ts'
import { locationSchema, type GivenLocation, type LocationView } from '@young-oak/api/equipment'
import { api, sayError } from '../../app/api.ts'
import { today } from '../../app/today.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { Toasts } from '../../ui/Toasts.tsx'
import { EquipmentForm } from './EquipmentForm.tsx'
import { sayHas } from './sayHas.ts'

/** The gym's places, and what each has: loads of everybody who trains there are made of it. */
export default function LocationsPage() {
  useTitle('Locations and equipment')
  const { data, error, isLoading, refetch } = api.useLocationsQuery(today())
  if (isLoading) return <p className="p-6 text-bark">Loading…</p>
  if (!data)
    return (
      <main className="p-6">
        <p className="mb-3">{sayError(error)}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-6">
      <h1 className="text-3xl">Locations and equipment</h1>
      <p className="mt-1 text-bark">
        Members’ loads are rounded to the equipment listed here, from the day it is saved. Where nothing is
        listed, usual equipment is assumed and the member is told.
      </p>
      <ul className="mt-4 divide-y divide-line border-y border-line">
        {data.map((location) => (
          <Location key={location.id} location={location} />
        ))}
      </ul>
      <NewLocation />
      <Toasts />
    </main>
  )
}

function NewLocation() {
  const [add, { isLoading }] = api.useAddLocationMutation()
  const { register, handleSubmit, reset, setError, formState } = useForm<GivenLocation>({
    resolver: yupResolver(locationSchema),
    defaultValues: { name: '' },
  })
  const save = async ({ name }: GivenLocation) => {
    const { error } = await add({ name, day: today() })
    if (error) setError('name', { message: sayError(error) })
    else reset()
  }
  return (
    <form
      noValidate
      className="mt-6 flex items-start gap-3"
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <Field
        label="New location"
        className="grow"
        error={formState.errors.name?.message}
        {...register('name')}
      />
      <Button type="submit" look="plain" className="mt-6 min-h-11" disabled={isLoading}>
        Add location
      </Button>
    </form>
  )
}

function Location({ location: { id, name, has } }: { location: LocationView }) {
  const [equip, { isLoading, error }] = api.useEquipLocationMutation()
  return (
    <li className="py-3">
      <details>
        <summary className="flex min-h-11 cursor-pointer flex-wrap items-baseline gap-x-4">
          <span className="font-serif text-lg font-semibold">{name}</span>
          <span className="text-sm text-bark">{sayHas(has)}</span>
        </summary>
        <div className="mt-3">
          <EquipmentForm
            key={JSON.stringify(has)}
            has={has}
            isSaving={isLoading}
            error={error && sayError(error)}
            onSave={(own) =>
              void equip({ location: id, has: own, today: today() })
                .unwrap()
                .then(() => toast(`Saved. Loads at ${name} use this equipment from today.`))
                .catch(() => undefined)
            }
          />
        </div>
      </details>
    </li>
  )
}
