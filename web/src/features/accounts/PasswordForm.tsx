import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { passwordSchema, type GivenPassword } from '@young-oak/api/accounts'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { Details } from '../../ui/Details.tsx'
import { toast } from '../../ui/toast.ts'
import { accountApi } from './accountApi.ts'
import { CurrentPassword, NewPassword } from './PasswordFields.tsx'

export function PasswordForm() {
  const [change, { error, isLoading }] = accountApi.useChangePasswordMutation()
  const { register, handleSubmit, formState, reset } = useForm<GivenPassword>({
    resolver: yupResolver(passwordSchema),
    defaultValues: { current: '', next: '' },
  })
  const save = async (given: GivenPassword) => {
    const answer = await change(given)
    if (answer.error) return
    reset()
    toast('The password is changed. Everywhere else you are signed out.')
  }
  return (
    <Details title="Change the password">
      <p className="mt-1 text-sm text-bark">
        On other phones and browsers you are signed out, and enter the new password.
      </p>
      <form
        onSubmit={(event) => void handleSubmit(save)(event)}
        noValidate
        aria-label="Change the password"
        className="mt-3 grid max-w-sm gap-4"
      >
        <CurrentPassword error={formState.errors.current?.message} {...register('current')} />
        <NewPassword error={formState.errors.next?.message} {...register('next')} />
        <Fault error={error} />
        <Button type="submit" disabled={isLoading}>
          Change the password
        </Button>
      </form>
    </Details>
  )
}
