import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { erasureSchema, type GivenErasure } from '@young-oak/api/accounts'
import { formatDay } from '@young-oak/core/units'
import { Fault } from '../../app/Fault.tsx'
import { sayError } from '../../app/api.ts'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { toast } from '../../ui/toast.ts'
import { accountApi } from './accountApi.ts'
import { CurrentPassword } from './PasswordFields.tsx'

/** The end of everything that a gym knows of a member, and the way back while there is one. */
export function DeleteData({ gymName }: { gymName: string }) {
  const { data } = accountApi.useErasureQuery()
  if (!data) return null
  return data.eraseOn === null ? (
    <AskForm gymName={gymName} />
  ) : (
    <Waiting gymName={gymName} on={data.eraseOn} />
  )
}

function Waiting({ gymName, on }: { gymName: string; on: string }) {
  const [stop, { isLoading }] = accountApi.useStopErasureMutation()
  const keep = async () => {
    const { error } = await stop()
    if (error) toast.error(sayError(error))
    else toast('Your data is kept.')
  }
  return (
    <div role="status" className="mt-4 rounded bg-acorn-wash p-3">
      <p>
        Your data at {gymName} is deleted on <strong>{formatDay(on)}</strong>. Until then you can train and
        log as before.
      </p>
      <Button look="plain" className="mt-2" disabled={isLoading} onClick={() => void keep()}>
        Keep my data
      </Button>
    </div>
  )
}

function AskForm({ gymName }: { gymName: string }) {
  const [ask, { error, isLoading }] = accountApi.useAskErasureMutation()
  const { register, handleSubmit, formState } = useForm<GivenErasure>({
    resolver: yupResolver(erasureSchema),
    defaultValues: { current: '' },
  })
  return (
    <Details title={`Delete my data at ${gymName}`}>
      <p className="mt-1 text-sm text-bark">
        In 14 days every set, max, check-in and answer of yours at {gymName} is deleted for good, with your
        name, your seat and, if it has no other seat, your account. What stays: how many sessions somebody
        trained in each month, and that programs were published to somebody, both without a name. Until then
        you can change your mind here. Save your data as a file first if you want to keep it.
      </p>
      <form
        onSubmit={(event) => void handleSubmit((given) => ask(given))(event)}
        noValidate
        aria-label={`Delete my data at ${gymName}`}
        className="mt-3 grid max-w-sm gap-4"
      >
        <CurrentPassword error={formState.errors.current?.message} {...register('current')} />
        <Fault error={error} />
        <Button type="submit" look="plain" disabled={isLoading}>
          Delete my data in 14 days
        </Button>
      </form>
    </Details>
  )
}
