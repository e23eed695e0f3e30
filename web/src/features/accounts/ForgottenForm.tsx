import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { forgottenSchema, type GivenForgotten } from '@young-oak/api/accounts'
import { Fault } from '../../app/Fault.tsx'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { accountApi } from './accountApi.ts'

/** Has a link for a new password sent. It says the same for every address, so that nobody learns who has an account. */
export function ForgottenForm() {
  const [ask, { error, isLoading, isSuccess }] = accountApi.useForgottenMutation()
  const { register, handleSubmit, formState } = useForm<GivenForgotten>({
    resolver: yupResolver(forgottenSchema),
    defaultValues: { email: '' },
  })
  if (isSuccess)
    return (
      <p role="status" className="mt-2">
        If an account has this address, a link is on its way. It works once, within an hour.
      </p>
    )
  return (
    <form
      onSubmit={(event) => void handleSubmit((given) => ask(given))(event)}
      noValidate
      aria-label="Forgotten password"
      className="mt-2 grid gap-3"
    >
      <Field
        label="Your e-mail address"
        type="email"
        autoComplete="username"
        error={formState.errors.email?.message}
        {...register('email')}
      />
      <Fault error={error} />
      <Button type="submit" look="plain" disabled={isLoading}>
        Send a link for a new password
      </Button>
    </form>
  )
}
