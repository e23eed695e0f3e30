import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { gymSchema, type GivenGym, type GymView } from '@young-oak/api/gyms'
import { NotRead } from '../../app/NotRead.tsx'
import { Fault } from '../../app/Fault.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { toast } from '../../ui/toast.ts'
import { Toasts } from '../../ui/Toasts.tsx'
import { gymApi } from './gymApi.ts'
import { GymFields } from './GymFields.tsx'
import { JoinLink } from './JoinLink.tsx'

/** What the owner says of the gym. */
export default function GymPage() {
  useTitle('Gym')
  const { data, error, refetch } = gymApi.useGymQuery()
  return (
    <main className="mx-auto w-full max-w-xl px-4 py-6">
      <h1 className="text-3xl">Gym</h1>
      {data ? <GymForm gym={data} /> : !error && <p className="mt-6 text-bark">Loading…</p>}
      <NotRead error={error} onRetry={refetch} />
      {data && <JoinLink gymName={data.name} link={data.joinLink} />}
      <Toasts />
    </main>
  )
}

function GymForm({ gym }: { gym: GymView }) {
  const [save, { error, isLoading }] = gymApi.useSaveGymMutation()
  const { register, control, handleSubmit, reset, formState } = useForm<GivenGym>({
    resolver: yupResolver(gymSchema),
    defaultValues: { name: gym.name, zone: gym.zone, unit: gym.unit, weekStart: gym.weekStart },
  })
  const keep = async (given: GivenGym) => {
    const { data } = await save(given)
    if (!data) return
    reset(data)
    toast('The gym is saved.')
  }
  return (
    <form
      onSubmit={(event) => void handleSubmit(keep)(event)}
      noValidate
      aria-label="Gym"
      className="mt-4 grid max-w-md gap-4"
    >
      <GymFields
        register={register}
        control={control}
        at={{ name: 'name', zone: 'zone', unit: 'unit', weekStart: 'weekStart' }}
      />
      <Fault error={error} />
      <Button type="submit" disabled={isLoading || !formState.isDirty}>
        Save the gym
      </Button>
    </form>
  )
}
