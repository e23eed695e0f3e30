import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { Link, useLocation } from 'react-router'
import { resetSchema, type GivenReset } from '@young-oak/api/accounts'
import { sayError } from '../../app/api.ts'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { accountApi } from './accountApi.ts'
import { NewPassword } from './PasswordFields.tsx'

/** Another password, by a link that whoever runs the server has handed over. */
export default function ResetPage() {
  useTitle('Choose a new password')
  const { hash } = useLocation()
  const [reset, { error, isLoading, isSuccess }] = accountApi.useResetMutation()
  const { register, handleSubmit, formState } = useForm<GivenReset>({
    resolver: yupResolver(resetSchema),
    defaultValues: { token: hash.slice(1), next: '' },
  })
  return (
    <main className="mx-auto w-full max-w-md px-4 py-8">
      <h1 className="text-3xl">Choose a new password</h1>
      {isSuccess ? (
        <p role="status" className="mt-4">
          Your password is changed, and you are signed out everywhere.{' '}
          <Link to="/sign-in" className="underline underline-offset-4">
            Sign in
          </Link>
        </p>
      ) : (
        <form
          onSubmit={(event) => void handleSubmit((given) => reset(given))(event)}
          noValidate
          aria-label="Choose a new password"
          className="mt-4 grid gap-4"
        >
          <NewPassword error={formState.errors.next?.message} {...register('next')} />
          {(error || formState.errors.token) && (
            <p role="alert" className="text-brick">
              {formState.errors.token?.message ?? sayError(error)}
            </p>
          )}
          <Button type="submit" size="thumb" disabled={isLoading}>
            Save the new password
          </Button>
        </form>
      )}
    </main>
  )
}
