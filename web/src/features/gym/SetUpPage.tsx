import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { Navigate } from 'react-router'
import { setUpSchema, type GivenSetUp } from '@young-oak/api/gyms'
import { Fault } from '../../app/Fault.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { NewPassword } from '../accounts/PasswordFields.tsx'
import { useEnter } from '../accounts/useEnter.ts'
import { gymApi } from './gymApi.ts'
import { GymFields, ownZone } from './GymFields.tsx'

/** The first start: a gym and its owner, by the code that the server has printed. */
export default function SetUpPage() {
  useTitle('Set up your gym')
  const { data } = gymApi.useIsSetUpOpenQuery()
  if (data?.isOpen === false) return <Navigate to="/sign-in" replace />
  return (
    <main className="mx-auto w-full max-w-xl px-4 py-8">
      <h1 className="text-4xl">Set up your gym</h1>
      <p className="mt-2 text-bark">
        Young Oak is running and has no gym yet. You will be the gym’s owner: you invite writers and members,
        and list the equipment.
      </p>
      <SetUpForm />
    </main>
  )
}

function SetUpForm() {
  const [setUp, { error, isLoading }] = gymApi.useSetUpMutation()
  const enter = useEnter()
  const { register, control, handleSubmit, formState, setError } = useForm<GivenSetUp>({
    resolver: yupResolver(setUpSchema),
    defaultValues: {
      code: '',
      gym: { name: '', zone: ownZone(), unit: 'kg', weekStart: 'monday' },
      owner: { name: '', email: '', password: '', writes: true },
    },
  })
  const { errors } = formState
  const save = async (given: GivenSetUp) => {
    const answer = await setUp(given)
    if (!answer.error) return enter()
    const { data } = answer.error as { data?: { code?: string; detail?: string } }
    if (data?.code === 'wrongCode') setError('code', { message: data.detail ?? '' })
  }
  const isCode = (error as { data?: { code?: string } } | undefined)?.data?.code === 'wrongCode'
  return (
    <form
      onSubmit={(event) => void handleSubmit(save)(event)}
      noValidate
      aria-label="Set up your gym"
      className="mt-6 grid gap-8"
    >
      <Field
        label="Set-up code"
        autoComplete="one-time-code"
        autoCapitalize="characters"
        spellCheck={false}
        hint="The server printed it where it was started, such as K7QF-2M9X."
        error={errors.code?.message}
        {...register('code')}
      />
      <fieldset className="grid gap-4">
        <legend className="mb-2 font-serif text-xl font-semibold">The gym</legend>
        <GymFields
          register={register}
          control={control}
          at={{ name: 'gym.name', zone: 'gym.zone', unit: 'gym.unit', weekStart: 'gym.weekStart' }}
        />
      </fieldset>
      <fieldset className="grid gap-4">
        <legend className="mb-2 font-serif text-xl font-semibold">You, the owner</legend>
        <Field
          label="Your name"
          autoComplete="name"
          error={errors.owner?.name?.message}
          {...register('owner.name')}
        />
        <Field
          label="E-mail address"
          type="email"
          autoComplete="username"
          hint="You sign in with it."
          error={errors.owner?.email?.message}
          {...register('owner.email')}
        />
        <NewPassword error={errors.owner?.password?.message} {...register('owner.password')} />
        <label className="flex min-h-11 items-center gap-3">
          <input type="checkbox" className="size-5 accent-leaf" {...register('owner.writes')} />I write
          programs too
        </label>
      </fieldset>
      {!isCode && <Fault error={error} />}
      <Button type="submit" size="thumb" disabled={isLoading}>
        Set up the gym
      </Button>
    </form>
  )
}
