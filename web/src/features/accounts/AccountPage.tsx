import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { passwordSchema, type GivenPassword } from '@young-oak/api/accounts'
import { api, sayError } from '../../app/api.ts'
import { ThemeButton } from '../../app/ThemeButton.tsx'
import { useTitle } from '../../app/useTitle.ts'
import { Button } from '../../ui/Button.tsx'
import { Field } from '../../ui/Field.tsx'
import { toast } from '../../ui/toast.ts'
import { Toasts } from '../../ui/Toasts.tsx'

/** Who is signed in, and their password. */
export default function AccountPage() {
  useTitle('Your account')
  const { data } = api.useSessionQuery()
  return (
    <main className="mx-auto w-full max-w-xl px-4 py-6">
      <h1 className="text-3xl">Your account</h1>
      <ul className="mt-2 text-bark">
        {data?.seats.map(({ id, name, kind, gymName }) => (
          <li key={id}>
            {name}, {kind} at {gymName}
          </li>
        ))}
      </ul>
      <p className="mt-2 flex items-center justify-between sm:hidden">
        Light or dark page <ThemeButton />
      </p>
      <PasswordForm />
      <Toasts />
    </main>
  )
}

function PasswordForm() {
  const [change, { error, isLoading }] = api.useChangePasswordMutation()
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
    <section className="mt-8">
      <h2 className="text-xl">Change the password</h2>
      <p className="mt-1 text-sm text-bark">
        On other phones and browsers you are signed out, and enter the new password.
      </p>
      <form
        onSubmit={(event) => void handleSubmit(save)(event)}
        noValidate
        aria-label="Change the password"
        className="mt-3 grid max-w-sm gap-4"
      >
        <Field
          label="Current password"
          type="password"
          autoComplete="current-password"
          error={formState.errors.current?.message}
          {...register('current')}
        />
        <Field
          label="New password"
          type="password"
          autoComplete="new-password"
          hint="At least 10 characters."
          error={formState.errors.next?.message}
          {...register('next')}
        />
        {error && (
          <p role="alert" className="text-brick">
            {sayError(error)}
          </p>
        )}
        <Button type="submit" disabled={isLoading}>
          Change the password
        </Button>
      </form>
    </section>
  )
}
